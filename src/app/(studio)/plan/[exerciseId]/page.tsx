import Link from 'next/link';
import { MEDIA } from '@/core/exercise/media';
import { exerciseFor } from '@/studio/actor';
import { sayDay } from '@/ui/dates';
import { orNotFound, teacherOnly } from '../../../access';

export default async function Exercise({ params }: { params: Promise<{ exerciseId: string }> }) {
  const { house, teacher } = await teacherOnly();
  const { exerciseId } = await params;
  const { exercise, class: group } = await orNotFound(exerciseFor(house, teacher, exerciseId));
  const { terms } = exercise;
  return (
    <div className="grid gap-4 p-4 lg:grid-cols-[1fr_30rem]">
      <section className="panel self-start">
        <h1 className="text-24 font-semibold">{exercise.title}</h1>
        <p className="mb-4">
          {group.name}
          {exercise.dueAt && `, due ${sayDay(exercise.dueAt)}`}
        </p>
        {exercise.note && <p className="mb-4 whitespace-pre-wrap font-letter text-18">{exercise.note}</p>}
        <dl className="mb-6 grid grid-cols-[10rem_1fr] gap-y-1">
          <dt>Steps</dt>
          <dd>{terms.steps}</dd>
          <dt>Paint</dt>
          <dd>
            {MEDIA[terms.medium].name}, about L* {terms.ends.light} to {terms.ends.dark}
          </dd>
          <dt>A step is told</dt>
          <dd>from {terms.toleranceSteps} of a step off</dd>
        </dl>
        <p className="trouble mb-6">{MEDIA[terms.medium].caution}</p>
        <div className="flex gap-3">
          <a className="act" href={`/sheet/${exercise.id}`}>
            Print a sheet for each student
          </a>
          <Link className="calm" href={`/rack/${group.id}`}>
            To the rack
          </Link>
        </div>
      </section>
      <img src={`/sheet/${exercise.id}?as=svg`} alt="The sheet as it prints" className="aspect-[210/297] w-full bg-white" />
    </div>
  );
}
