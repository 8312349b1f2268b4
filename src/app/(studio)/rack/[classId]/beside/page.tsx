import { sideBySide } from '@/studio/views/in-common';
import { seenAtAGlance } from '@/ui/instruments/hand-in-seen';
import { SideBySide } from '@/ui/rack/SideBySide';
import { orNotFound, teacherOnly } from '../../../../access';

interface Props {
  readonly params: Promise<{ classId: string }>;
  readonly searchParams: Promise<{ of?: string }>;
}

/** More are not looked at together. */
const MOST = 6;

export default async function Beside({ params, searchParams }: Props) {
  const { house, teacher } = await teacherOnly();
  const { classId } = await params;
  const ids = ((await searchParams).of ?? '').split('.').slice(0, MOST);
  const all = await orNotFound(sideBySide(house, teacher, classId, ids));
  return (
    <SideBySide
      back={`/rack/${classId}?exercise=${all[0]?.glance.exerciseId ?? ''}`}
      all={all.map(({ glance, student, title, labels }) => ({
        ...{ student, title, handInId: glance.handInId, attemptId: glance.attemptId ?? '' },
        ...{ state: glance.state, attempt: glance.attempt, kind: glance.kind },
        seen: seenAtAGlance(glance, labels),
      }))}
    />
  );
}
