import { inSteps } from '@/core/critique/amounts';
import { isPicture } from '@/core/exercise/terms';
import { inShort, isMeasured, kindById } from '@/core/kinds/table';
import { CAUTIONS, cautionsFor, DEFERRAL } from '@/core/planning/cautions';
import { zoneOf } from '@/core/planning/meetings';
import { exerciseFor } from '@/studio/access/actor';
import { setUpOfExercise } from '@/studio/hand-in/notan-hand-ins';
import { shoppingFor } from '@/studio/mixing/shelf';
import { safetyOf } from '@/studio/plan/exercises';
import { timetableOf } from '@/studio/plan/timetables';
import { referenceOfExercise } from '@/studio/reference/references';
import { sayDay } from '@/ui/parts/dates';
import { ShoppingTable } from '@/ui/plan/ShoppingTable';
import { TimetableStrip } from '@/ui/plan/TimetableStrip';
import Link from 'next/link';
import { orNotFound, teacherOnly } from '../../../access';
import { duplicate, keepPlacing } from '../actions';

export default async function Exercise({ params }: { params: Promise<{ exerciseId: string }> }) {
  const { house, teacher } = await teacherOnly();
  const { exerciseId } = await params;
  const { exercise, class: group } = await orNotFound(exerciseFor(house, teacher, exerciseId));
  const { terms } = exercise;
  const kind = kindById(terms.kind);
  const [plan, shopping, reference, setUp] = await Promise.all([
    timetableOf(house, teacher, exerciseId),
    shoppingFor(house, teacher, exerciseId),
    referenceOfExercise(house, exercise.referenceId),
    setUpOfExercise(house, exercise),
  ]);
  return (
    <div className="grid gap-4 p-4 lg:grid-cols-[1fr_20rem]">
      <section className="panel self-start">
        <h1 className="text-24 font-semibold">{exercise.title}</h1>
        <p className="mb-4">
          {group.name}
          {exercise.dueAt && `, due ${sayDay(exercise.dueAt, zoneOf(group.meetings))}`}
          {exercise.revision > 1 && `, revision ${exercise.revision}`}
        </p>
        {exercise.note && <p className="mb-4 whitespace-pre-wrap font-letter text-18">{exercise.note}</p>}
        <dl className="mb-4 grid grid-cols-[10rem_1fr] gap-y-1">
          <dt>Kind</dt>
          <dd>{kind.name}</dd>
          <dt>What</dt>
          <dd>
            {inShort(terms)}, about L* {terms.ends.light} to {terms.ends.dark}
          </dd>
          <dt>Time</dt>
          <dd>
            about {kind.minutes[0]} to {kind.minutes[1]} minutes
          </dd>
          <dt>How strict</dt>
          <dd>a step that is {inSteps(terms.toleranceSteps)} off is told</dd>
          <dt>Judged</dt>
          <dd>
            {isMeasured(terms.kind, exercise)
              ? 'measured by Fair Grey, decided by you'
              : 'by your eye; Fair Grey keeps and shows the photographs'}
          </dd>
          {reference && (
            <>
              <dt>Painted from</dt>
              <dd>
                <Link href={`/references/${reference.id}`} className="underline">
                  {reference.title}
                </Link>
                , {reference.source}, {reference.licence}
              </dd>
            </>
          )}
          {setUp && (
            <>
              <dt>Painted from</dt>
              <dd>
                <Link href={`/references/set-up/${setUp.id}`} className="underline">
                  {setUp.title}
                </Link>
                , from life
              </dd>
            </>
          )}
          {exercise.overrideReason && (
            <>
              <dt>Set all the same</dt>
              <dd>{exercise.overrideReason}</dd>
            </>
          )}
        </dl>
        <div className="mb-4">
          <ShoppingTable {...shopping} />
        </div>
        <ul className="trouble mb-4 list-none space-y-1">
          {cautionsFor(safetyOf(group, terms)).map((id) => (
            <li key={id}>{CAUTIONS[id]}</li>
          ))}
          <li>{DEFERRAL}</li>
        </ul>
        <div className="flex flex-wrap gap-3">
          <a className="act" href={`/sheet/${exercise.id}`}>
            Print a sheet for each student
          </a>
          {reference && (
            <a className="calm" href={`/reference-sheet/${exercise.id}`}>
              Sheets of its picture
            </a>
          )}
          {isPicture(terms) && (
            <a className="calm" href={`/brackets?paper=${terms.paper}`}>
              Corner pieces for a board
            </a>
          )}
          <Link className="calm" href={`/plan/${exercise.id}/revise`}>
            Revise
          </Link>
          <form action={duplicate.bind(null, exercise.id, group.id)}>
            <button className="calm">Set it again</button>
          </form>
          <Link className="calm" href={`/palette?class=${group.id}&medium=${exercise.terms.medium}`}>
            Its paints
          </Link>
          <Link className="calm" href={`/rack/${group.id}`}>
            To the rack
          </Link>
        </div>
      </section>
      <img
        src={`/sheet/${exercise.id}?as=svg&revision=${exercise.revision}`}
        alt="The sheet as it prints"
        className="aspect-[210/297] w-full self-start bg-white"
      />
      {plan ? (
        <div className="min-w-0 lg:col-span-2">
          <TimetableStrip
            key={JSON.stringify(plan)}
            {...plan}
            icsHref={`/timetable/${exercise.id}`}
            save={keepPlacing.bind(null, exercise.id)}
          />
        </div>
      ) : (
        <section className="panel self-start lg:col-span-2">
          <h2 className="text-18 font-semibold">Timetable</h2>
          <p>
            Say when the class meets,{' '}
            <Link href={`/ledger/${group.id}`} className="underline">
              in the Ledger
            </Link>
            , and the stages are laid out here with their drying times.
          </p>
        </section>
      )}
    </div>
  );
}
