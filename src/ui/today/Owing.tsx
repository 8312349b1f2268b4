/** Who has not handed in, and who was sent back and brought nothing new. */
import { sayLate } from '@/core/planning/deadline';
import type { Owed } from '@/studio/views/owed';
import Link from 'next/link';

interface Props {
  readonly owed: readonly Owed[];
  readonly sentBack: readonly {
    readonly handInId: string;
    readonly student: string;
    readonly title: string;
    readonly since: Date;
    readonly total: number;
  }[];
  readonly now: Date;
}

/** Names told of one exercise; the others are on its rack. */
const NAMES = 8;

function Missing({ owed: { students, title, className, classId, exerciseId } }: { readonly owed: Owed }) {
  const late = students[0]?.lateMs ?? 0;
  const names = students.slice(0, NAMES).map((s) => s.name);
  return (
    <li>
      <Link href={`/rack/${classId}?exercise=${exerciseId}`} className="block rounded-sm p-1 hover:bg-l88">
        <span className="font-semibold">{title}</span>
        <span className="quiet block">
          {className}, {late > 0 ? `due ${sayLate(late)} ago` : 'due soon'}
        </span>
        <span className="block text-13">
          {names.join(', ')}
          {students.length > NAMES && ` and ${students.length - NAMES} more`}
        </span>
      </Link>
    </li>
  );
}

export function Owing({ owed, sentBack, now }: Props) {
  return (
    <>
      {owed.length > 0 && (
        <section className="panel" aria-labelledby="missing">
          <h2 id="missing" className="mb-2 text-18 font-semibold">
            Not handed in
          </h2>
          <ul className="grid gap-2">
            {owed.map((o) => (
              <Missing key={o.exerciseId} owed={o} />
            ))}
          </ul>
        </section>
      )}
      {sentBack.length > 0 && (
        <section className="panel" aria-labelledby="sent-back">
          <h2 id="sent-back" className="mb-2 text-18 font-semibold">
            Sent back, nothing new yet
          </h2>
          <ul className="grid gap-1">
            {sentBack.map(({ handInId, student, title, since }) => (
              <li key={handInId}>
                <Link href={`/table/${handInId}`} className="block rounded-sm p-1 hover:bg-l88">
                  <span className="font-semibold">{student}</span>
                  <span className="quiet block">
                    {title}, {sayLate(now.getTime() - since.getTime())} ago
                  </span>
                </Link>
              </li>
            ))}
          </ul>
          {(sentBack[0]?.total ?? 0) > sentBack.length && (
            <p className="quiet">and {(sentBack[0]?.total ?? 0) - sentBack.length} more, on the racks</p>
          )}
        </section>
      )}
    </>
  );
}
