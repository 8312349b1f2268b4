import { valuesOf } from '@/core/kinds/table';
import { zoneOf } from '@/core/planning/meetings';
import { myWork } from '@/studio/views/my-work';
import { ValueStrip } from '@/ui/instruments/ValueStrip';
import { sayDay } from '@/ui/parts/dates';
import { StateMark } from '@/ui/parts/StateMark';
import Link from 'next/link';
import { studentOnly } from '../access';

export default async function MyWork() {
  const { house, student } = await studentOnly();
  const { work, meetings } = await myWork(house, student);
  const zone = zoneOf(meetings);
  return (
    <section className="panel">
      <h1 className="mb-3 text-24 font-semibold">My work</h1>
      {work.length === 0 && <p>Nothing is set yet. What your teacher sets appears here.</p>}
      <ul className="grid gap-3">
        {work.map(({ exercise, state, dueAt, excused }) => {
          return (
            <li key={exercise.id}>
              <Link href={`/my/${exercise.id}`} className="block rounded-sm bg-l97 p-3">
                <span className="mb-2 block">
                  <ValueStrip values={valuesOf(exercise.terms)} />
                </span>
                <span className="flex items-center justify-between gap-2">
                  <span className="font-semibold">{exercise.title}</span>
                  <StateMark state={state} />
                </span>
                <span className="quiet">
                  {excused ? 'You are excused from this one.' : dueAt && `due ${sayDay(dueAt, zone)}`}
                </span>
              </Link>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
