import { exerciseInCommon } from '@/studio/views/in-common';
import { seenAtAGlance } from '@/ui/instruments/hand-in-seen';
import { Together } from '@/ui/rack/Together';
import { notFound } from 'next/navigation';
import { orNotFound, teacherOnly } from '../../../../access';

interface Props {
  readonly params: Promise<{ classId: string }>;
  readonly searchParams: Promise<{ exercise?: string }>;
}

export default async function TogetherPage({ params, searchParams }: Props) {
  const { house, teacher } = await teacherOnly();
  const { classId } = await params;
  const exerciseId = (await searchParams).exercise ?? '';
  const found = await orNotFound(exerciseInCommon(house, teacher, exerciseId));
  if (found.class.id !== classId) notFound();
  const { exercise, total, labels, things } = found;
  return (
    <Together
      title={exercise.title}
      total={total}
      back={`/rack/${classId}?exercise=${exerciseId}`}
      paper={`/together/${exerciseId}`}
      things={things.map(({ kind, say, shown }) => ({
        ...{ kind, say },
        shown: shown.map(({ glance, student }) => ({
          ...{ student, attemptId: glance.attemptId ?? '', seen: seenAtAGlance(glance, labels) },
        })),
      }))}
    />
  );
}
