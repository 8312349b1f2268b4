import { gradeBook } from '@/studio/views/results';
import { SchemeForm } from '@/ui/grading/SchemeForm';
import { PlainTable } from '@/ui/ledger/record/PlainTable';
import { PageHead } from '@/ui/parts/PageHead';
import Link from 'next/link';
import { orNotFound, teacherOnly } from '../../../../access';
import { keepScheme } from '../../grading-actions';

/** By what a class is graded, and what was given. */
export default async function Grades({ params }: { params: Promise<{ classId: string }> }) {
  const { house, teacher } = await teacherOnly();
  const { classId } = await params;
  const { class: group, book } = await orNotFound(gradeBook(house, teacher, classId));
  const isEmpty = book.columns.length === 1;
  return (
    <div className="grid gap-4 p-4">
      <section className="panel">
        <PageHead title={`${group.name}, grades`}>
          {!isEmpty && (
            <a className="calm" href={`/results/${classId}/grades`}>
              All grades as CSV
            </a>
          )}
          <Link href={`/ledger/${classId}`} className="calm">
            The class
          </Link>
        </PageHead>
        {isEmpty ? (
          <p>No grades are given yet. They are given at the Table, each beside what was measured.</p>
        ) : (
          <PlainTable table={book} />
        )}
      </section>
      {teacher.standing !== 'assistant' && (
        <section className="panel">
          <h2 className="mb-3 text-18 font-semibold">By what it is graded</h2>
          <SchemeForm now={group.scheme} save={keepScheme.bind(null, classId)} />
        </section>
      )}
    </div>
  );
}
