/** What dries and until when, and dates that get in each other's way. */
import type { UnderWay as Ways } from '@/studio/views/under-way';
import Link from 'next/link';
import { sayDay, sayMoment } from '../parts/dates';

export function UnderWay({ drying, conflicts, sameDay }: Ways) {
  return (
    <>
      {drying.length > 0 && (
        <section className="panel" aria-labelledby="drying">
          <h2 id="drying" className="mb-2 text-18 font-semibold">
            Drying
          </h2>
          <ul className="grid gap-1">
            {drying.map(({ exerciseId, title, stage, until, timeZone }) => (
              <li key={`${exerciseId} ${stage}`}>
                <Link href={`/plan/${exerciseId}`} className="block rounded-sm p-1 hover:bg-l88">
                  <span className="font-semibold">{stage}</span>
                  <span className="quiet block">
                    {title}, until {sayMoment(until, timeZone)}
                  </span>
                </Link>
              </li>
            ))}
          </ul>
        </section>
      )}
      {conflicts.length + sameDay.length > 0 && (
        <section className="panel" aria-labelledby="collide">
          <h2 id="collide" className="mb-2 text-18 font-semibold">
            Dates in each other’s way
          </h2>
          <ul className="grid gap-2">
            {conflicts.map(({ exerciseId, title, say }) => (
              <li key={exerciseId}>
                <Link href={`/plan/${exerciseId}`} className="block rounded-sm p-1 hover:bg-l88">
                  <span className="font-semibold">{title}</span>
                  <span className="block text-13">{say}</span>
                </Link>
              </li>
            ))}
            {sameDay.map((day) => (
              <li key={day.map((d) => d.id).join(' ')} className="p-1">
                {day[0] && <span className="font-semibold">{sayDay(day[0].dueAt, day[0].timeZone)}</span>}
                <span className="block text-13">
                  One class has{' '}
                  {day.map((d, i) => (
                    <span key={d.id}>
                      {i > 0 && (i === day.length - 1 ? ' and ' : ', ')}
                      <Link href={`/plan/${d.id}`} className="underline">
                        {d.title}
                      </Link>
                    </span>
                  ))}{' '}
                  due on this day.
                </span>
              </li>
            ))}
          </ul>
        </section>
      )}
    </>
  );
}
