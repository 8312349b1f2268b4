import { tableToCsv } from '@/core/formats/table-csv';
import type { RecordTable } from '@/core/record/table';
import { NotFound, type Teacher } from '@/studio/access/actor';
import type { House } from '@/studio/house';
import { writeDown } from '@/studio/staff/chronicle';
import { type ClassRecord, recordOf } from '@/studio/views/record';
import { recordWishSchema } from '@/studio/views/record-wish';
import { classResults, gradeBook } from '@/studio/views/results';
import { answer } from '../../../api';

const RECORDS: readonly (keyof ClassRecord)[] = ['course', 'passes', 'steps', 'colours'];
/** What is taken out whole, whatever is looked at. */
const WHOLE: Readonly<Record<string, (house: House, teacher: Teacher, classId: string) => Promise<RecordTable>>> = {
  results: classResults,
  grades: async (house, teacher, classId) => (await gradeBook(house, teacher, classId)).full,
};

/** A table of a class as CSV: of its record as it is looked at, or all results, or all grades. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ classId: string; table: string }> },
): Promise<Response> {
  const { classId, table } = await params;
  const whole = WHOLE[table];
  const which = RECORDS.find((t) => t === table);
  const wish = recordWishSchema.parse(Object.fromEntries(new URL(request.url).searchParams));
  return answer(async (house, actor) => {
    if (actor.role !== 'teacher' || (!whole && !which)) throw new NotFound();
    const found = whole
      ? await whole(house, actor, classId)
      : (await recordOf(house, actor, classId, wish)).record[which ?? 'course'];
    await writeDown(house.db, actor, 'took-out-results', { classId });
    return new Response(tableToCsv(found), {
      headers: {
        'Content-Type': 'text/csv; charset=utf-8',
        'Content-Disposition': `attachment; filename="${table}.csv"`,
      },
    });
  });
}
