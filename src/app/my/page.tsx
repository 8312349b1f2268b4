import Link from 'next/link';
import { targetLightnesses } from '@/core/scale/targets';
import { myWork } from '@/studio/views';
import { sayDay } from '@/ui/dates';
import { cssGrey } from '@/ui/grey';
import { StateMark } from '@/ui/StateMark';
import { studentOnly } from '../access';

export default async function MyWork() {
  const { house, student } = await studentOnly();
  const work = await myWork(house, student);
  return (
    <section className="panel">
      <h1 className="mb-3 text-24 font-semibold">My work</h1>
      {work.length === 0 && <p>Nothing is set yet. What your teacher sets appears here.</p>}
      <ul className="grid gap-3">
        {work.map(({ exercise, handIn }) => {
          const { steps, ends, order, spacing } = exercise.terms;
          return (
            <li key={exercise.id}>
              <Link href={`/my/${exercise.id}`} className="block rounded-sm bg-l97 p-3">
                <span className="mb-2 flex h-8" aria-hidden>
                  {targetLightnesses(steps, ends, order, spacing).map((l, i) => (
                    <span key={i} className="flex-1" style={{ background: cssGrey(l) }} />
                  ))}
                </span>
                <span className="flex items-center justify-between gap-2">
                  <span className="font-semibold">{exercise.title}</span>
                  <StateMark state={handIn?.state ?? 'open'} />
                </span>
                <span className="quiet">{exercise.dueAt && `due ${sayDay(exercise.dueAt)}`}</span>
              </Link>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
