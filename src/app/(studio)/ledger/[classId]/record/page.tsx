import { COURSE_KEYS, COURSE_WORDS, recordOf } from '@/studio/views/record';
import { recordWishSchema } from '@/studio/views/record-wish';
import { ChartWithTable } from '@/ui/ledger/record/ChartWithTable';
import { RecordTools } from '@/ui/ledger/record/RecordTools';
import Link from 'next/link';
import { orNotFound, teacherOnly } from '../../../../access';

interface Props {
  readonly params: Promise<{ classId: string }>;
  readonly searchParams: Promise<Record<string, string>>;
}

const HINTS = {
  course: 'Dashed: the first try. Solid: the last. The class in a middle grey, one student dark.',
  passes: 'From black to white: passed at the first try, at the second, later, not yet.',
  steps: 'The darker a field, the further off. Below nought is too dark, above it too light, in steps.',
  colours: 'Of chips laid by judgement beside a scale: above nought they were laid too light.',
} as const;

export default async function RecordPage({ params, searchParams }: Props) {
  const { house, teacher } = await teacherOnly();
  const { classId } = await params;
  const wish = recordWishSchema.parse(await searchParams);
  const found = await orNotFound(recordOf(house, teacher, classId, wish));
  const { class: group, students, scales, mapped, student, key, record } = found;
  const asked = new URLSearchParams({ figure: key, student: student?.id ?? '', exercise: mapped?.id ?? '' });
  const csv = (table: string) => `/results/${classId}/${table}?${asked}`;
  return (
    <div className="grid gap-4 p-4">
      <section className="panel grid gap-3">
        <div className="flex flex-wrap items-center gap-3">
          <h1 className="text-24 font-semibold">{group.name}, the record</h1>
          <Link href={`/ledger/${classId}`} className="calm ml-auto">
            The class
          </Link>
        </div>
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
        <section className="panel min-w-0" aria-labelledby="course">
          <h2 id="course" className="mb-2 text-18 font-semibold">
            Over the term: {record.course.title}
          </h2>
          <ChartWithTable table={record.course} as="lines" csv={csv('course')} hint={HINTS.course} />
        </section>
        <section className="panel min-w-0" aria-labelledby="steps">
          <h2 id="steps" className="mb-2 text-18 font-semibold">
            {mapped ? `${mapped.title}: ` : ''}
            {record.steps.title.toLowerCase()}
          </h2>
          <ChartWithTable table={record.steps} as="map" csv={csv('steps')} hint={HINTS.steps} />
        </section>
        <section className="panel min-w-0" aria-labelledby="passes">
          <h2 id="passes" className="mb-2 text-18 font-semibold">
            {record.passes.title}
          </h2>
          <ChartWithTable table={record.passes} as="stacked" csv={csv('passes')} hint={HINTS.passes} />
        </section>
        <section className="panel min-w-0" aria-labelledby="colours">
          <h2 id="colours" className="mb-2 text-18 font-semibold">
            {record.colours.title}
          </h2>
          <ChartWithTable table={record.colours} as="bars" csv={csv('colours')} hint={HINTS.colours} />
        </section>
      </div>
    </div>
  );
}
