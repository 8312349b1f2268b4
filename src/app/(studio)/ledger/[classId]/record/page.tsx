import { COURSE_KEYS, COURSE_WORDS, recordOf } from '@/studio/views/record';
import { recordWishSchema } from '@/studio/views/record-wish';
import { ChartWithTable } from '@/ui/ledger/record/ChartWithTable';
import { RecordTools } from '@/ui/ledger/record/RecordTools';
import { PageHead } from '@/ui/parts/PageHead';
import Link from 'next/link';
import { orNotFound, teacherOnly } from '../../../../access';

interface Props {
  readonly params: Promise<{ classId: string }>;
  readonly searchParams: Promise<Record<string, string>>;
}

/** What each chart is drawn as, and what it is read by. */
const CHARTS = [
  ['course', 'lines', 'Dashed: the first try. Solid: the last. The class in a middle grey, one student dark.'],
  ['steps', 'map', 'The darker a field, the further off. Below nought is too dark, above it too light, in steps.'],
  ['passes', 'stacked', 'From black to white: passed at the first try, at the second, later, not yet.'],
  ['colours', 'bars', 'Of chips laid by judgement beside a scale: above nought they were laid too light.'],
] as const;

export default async function RecordPage({ params, searchParams }: Props) {
  const { house, teacher } = await teacherOnly();
  const { classId } = await params;
  const wish = recordWishSchema.parse(await searchParams);
  const found = await orNotFound(recordOf(house, teacher, classId, wish));
  const { class: group, students, scales, mapped, student, key, record } = found;
  const asked = new URLSearchParams({ figure: key, student: student?.id ?? '', exercise: mapped?.id ?? '' });
  const csv = (table: string) => `/results/${classId}/${table}?${asked}`;
  const titles = {
    course: `Over the term: ${record.course.title}`,
    steps: mapped ? `${mapped.title}: ${record.steps.title.toLowerCase()}` : record.steps.title,
    passes: record.passes.title,
    colours: record.colours.title,
  };
  return (
    <div className="grid gap-4 p-4">
      <section className="panel">
        <PageHead title={`${group.name}, the record`}>
          <Link href={`/ledger/${classId}`} className="calm">
            The class
          </Link>
        </PageHead>
        <RecordTools
          address={`/ledger/${classId}/record`}
          figure={key}
          figures={COURSE_KEYS.map((k) => [k, COURSE_WORDS[k]] as const)}
          student={student?.id ?? ''}
          students={students.map((s) => [s.id, s.name] as const)}
          scale={mapped?.id ?? ''}
          scales={scales.map((e) => [e.id, e.title] as const)}
        />
      </section>
      <div className="grid gap-4 lg:grid-cols-2">
        {CHARTS.map(([table, as, hint]) => (
          <section key={table} className="panel min-w-0" aria-labelledby={table}>
            <h2 id={table} className="mb-2 text-18 font-semibold">
              {titles[table]}
            </h2>
            <ChartWithTable table={record[table]} as={as} csv={csv(table)} hint={hint} />
          </section>
        ))}
      </div>
    </div>
  );
}
