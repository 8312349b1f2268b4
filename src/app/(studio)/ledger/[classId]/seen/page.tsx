import { zoneOf } from '@/core/planning/meetings';
import { CHRONICLE_DAYS, chronicleOf } from '@/studio/staff/chronicle';
import { sayMoment } from '@/ui/parts/dates';
import { CHRONICLE_WORDS } from '@/ui/staff/chronicle-words';
import Link from 'next/link';
import { orNotFound, teacherOnly } from '../../../../access';

/** Who saw or changed what in a class. */
export default async function Seen({ params }: { params: Promise<{ classId: string }> }) {
  const { house, teacher } = await teacherOnly();
  const { classId } = await params;
  const { class: group, rows } = await orNotFound(chronicleOf(house, teacher, classId));
  const zone = zoneOf(group.meetings);
  return (
    <div className="p-4">
      <section className="panel">
        <h1 className="text-24 font-semibold">Who saw what in {group.name}</h1>
        <p className="mb-3 max-w-prose">
          What those who teach the class looked at, changed, sent and took out. It is kept for {CHRONICLE_DAYS} days and
          then forgotten; looking and drafting are written down once an hour.{' '}
          <Link href={`/ledger/${classId}`} className="underline">
            Back to the class
          </Link>
        </p>
        {rows.length === 0 ? (
          <p>Nothing yet.</p>
        ) : (
          <div className="overflow-x-auto">
            <table className="w-full text-left">
              <thead>
                <tr>
                  {['When', 'Who', 'Did what', 'Whose', 'Exercise'].map((name) => (
                    <th key={name} className="py-1 pr-4 text-13 font-semibold">
                      {name}
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {rows.map(({ id, at, who, did, student, title }) => (
                  <tr key={id} className="border-t border-l80">
                    <td className="whitespace-nowrap py-1 pr-4 tabular-nums">{sayMoment(at, zone)}</td>
                    <td className="py-1 pr-4">{who}</td>
                    <td className="py-1 pr-4">{CHRONICLE_WORDS[did]}</td>
                    <td className="py-1 pr-4">{student}</td>
                    <td className="py-1">{title}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        )}
      </section>
    </div>
  );
}
