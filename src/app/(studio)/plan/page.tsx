import { inShort, kindById, valuesOf } from '@/core/kinds/table';
import { zoneOf } from '@/core/planning/meetings';
import { exercisesOfTeacher } from '@/studio/plan/exercises';
import { ValueStrip } from '@/ui/instruments/ValueStrip';
import { sayDay } from '@/ui/parts/dates';
import Link from 'next/link';
import { teacherOnly } from '../../access';

export default async function Plan() {
  const { house, teacher } = await teacherOnly();
  const work = await exercisesOfTeacher(house, teacher);
  return (
    <div className="p-4">
      <section className="panel" aria-labelledby="plan">
        <div className="mb-4 flex items-center">
          <h1 id="plan" className="text-24 font-semibold">
            Plan
          </h1>
          <Link href="/plan/new" className="act ml-auto">
            Set an exercise
          </Link>
        </div>
        {work.length === 0 && <p>Nothing is set yet. Set an exercise: the sheet is drawn while you choose.</p>}
        <ul className="grid gap-2">
          {work.map(({ exercise, class: group }) => {
            return (
              <li key={exercise.id}>
                <Link
                  href={`/plan/${exercise.id}`}
                  className="grid items-center gap-x-4 gap-y-1 rounded-sm bg-l97 p-3 hover:bg-l88 md:grid-cols-[16rem_1fr_10rem_8rem]"
                >
                  <ValueStrip values={valuesOf(exercise.terms)} />
                  <span>
                    <span className="font-semibold">{exercise.title}</span>
                    <span className="quiet block">
                      {kindById(exercise.terms.kind).name} · {inShort(exercise.terms)}
                    </span>
                  </span>
                  <span>{group.name}</span>
                  <span className="quiet">
                    {exercise.dueAt ? `due ${sayDay(exercise.dueAt, zoneOf(group.meetings))}` : 'no date'}
                  </span>
                </Link>
              </li>
            );
          })}
        </ul>
      </section>
    </div>
  );
}
