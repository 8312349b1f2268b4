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
  const groups = await myWork(house, student);
  return (
    <section className="panel">
      <h1 className="mb-3 text-24 font-semibold">My work</h1>
      {groups.map((group) => (
        <InOneClass key={group.studentId} group={group} named={groups.length > 1} />
      ))}
    </section>
  );
}

type Group = Awaited<ReturnType<typeof myWork>>[number];

function InOneClass({ group: { studentId, name, work, meetings, told }, named }: { group: Group; named: boolean }) {
  const zone = zoneOf(meetings);
  return (
    <>
      {named && <h2 className="mb-2 mt-4 text-18 font-semibold">{name}</h2>}
      {told.map(({ id, title, text, at }) => (
        <article key={id} className="mb-3 rounded-sm bg-l97 p-3">
          <h3 className="flex justify-between gap-2 font-semibold">
            {title}
            <span className="quiet font-normal">{sayDay(at, zone)}</span>
          </h3>
          <p dir="auto" className="whitespace-pre-line font-letter">
            {text}
          </p>
        </article>
      ))}
      {work.length === 0 && <p>Nothing is set yet. What your teacher sets appears here.</p>}
      <ul className="grid gap-3">
        {work.map(({ exercise, state, dueAt, excused }) => (
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
        ))}
      </ul>
      {work.some(({ state }) => state !== 'open') && (
        <p className="mt-3 flex flex-wrap gap-2">
          <a className="calm" href={`/portfolio/${studentId}?as=pdf`}>
            All my work to print
          </a>
          <a className="calm" href={`/portfolio/${studentId}`}>
            With pictures, to keep
          </a>
        </p>
      )}
    </>
  );
}
