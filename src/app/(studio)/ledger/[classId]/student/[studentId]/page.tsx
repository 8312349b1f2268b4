import { zoneOf } from '@/core/planning/meetings';
import { resultsOf } from '@/core/record/results';
import { studentPage } from '@/studio/views/student';
import { Notes } from '@/ui/ledger/Notes';
import { PlainTable } from '@/ui/ledger/record/PlainTable';
import { sayDay } from '@/ui/parts/dates';
import { AddressField } from '@/ui/post/AddressField';
import { CalendarAddress } from '@/ui/post/CalendarAddress';
import { PageHead } from '@/ui/parts/PageHead';
import Link from 'next/link';
import { orNotFound, teacherOnly } from '../../../../../access';
import { addNote, rewriteNote } from '../../../grading-actions';
import { endCalendar, keepAddress, newCalendar } from '../../../post-actions';

/** Columns of results that are read at a glance; all of them go out as CSV. */
const AT_A_GLANCE = 6;

interface Props {
  readonly params: Promise<{ classId: string; studentId: string }>;
}

export default async function StudentPage({ params }: Props) {
  const { house, teacher } = await teacherOnly();
  const { classId, studentId } = await params;
  const found = await orNotFound(studentPage(house, teacher, classId, studentId));
  const { student, class: group, results, notes, address } = found;
  const zone = zoneOf(group.meetings);
  const of = { classId, studentId };
  const all = resultsOf(results);
  // Whose it is stands above; the exercise names the row.
  const table = {
    ...all,
    columns: all.columns.slice(1, 1 + AT_A_GLANCE),
    rows: all.rows.map(
      ([, exercise, ...rest]) =>
        [
          String(exercise),
          ...rest.slice(0, AT_A_GLANCE - 1).map((cell) => (cell === 0 ? null : cell)),
        ] as (typeof all.rows)[number],
    ),
  };
  return (
    <div className="grid gap-4 p-4 lg:grid-cols-[1fr_24rem]">
      <div className="grid content-start gap-4">
        <section className="panel">
          <PageHead title={student.name}>
            <a className="calm" href={`/portfolio/${studentId}?as=pdf`}>
              Portfolio to print
            </a>
            <a className="calm" href={`/portfolio/${studentId}`}>
              Portfolio with pictures
            </a>
            <Link href={`/ledger/${classId}/record?student=${studentId}`} className="calm">
              In the record
            </Link>
            <Link href={`/ledger/${classId}`} className="calm">
              {group.name}
            </Link>
          </PageHead>
          {results.length === 0 ? <p>Nothing is set to this class yet.</p> : <PlainTable table={table} />}
        </section>
      </div>
      <div className="grid content-start gap-4">
        <section className="panel">
          <h2 className="mb-3 text-18 font-semibold">Notes</h2>
          <Notes
            notes={notes.map(({ at, ...note }) => ({ ...note, day: sayDay(at, zone) }))}
            add={addNote.bind(null, studentId)}
            change={rewriteNote.bind(null, studentId)}
          />
        </section>
        <section className="panel">
          <h2 className="mb-3 text-18 font-semibold">Letters as e-mail</h2>
          <AddressField address={address} keep={keepAddress.bind(null, studentId)} />
        </section>
        <section className="panel">
          <h2 className="mb-3 text-18 font-semibold">A calendar of their own</h2>
          <CalendarAddress
            about="Meetings and dates with what this student is allowed, without any name."
            isOpen={found.hasCalendar}
            open={newCalendar.bind(null, of)}
            close={endCalendar.bind(null, of)}
          />
        </section>
      </div>
    </div>
  );
}
