import { tableToCsv } from '@/core/formats/table-csv';
import { NotFound } from '@/studio/access/actor';
import { type ClassRecord, recordOf } from '@/studio/views/record';
import { recordWishSchema } from '@/studio/views/record-wish';
import { answer, nothingHere } from '../../../api';

const TABLES: readonly (keyof ClassRecord)[] = ['course', 'passes', 'steps', 'colours'];

/** A table of a class's record as CSV. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ classId: string; table: string }> },
): Promise<Response> {
  const { classId, table } = await params;
  const which = TABLES.find((t) => t === table);
  if (!which) return nothingHere();
  const wish = recordWishSchema.parse(Object.fromEntries(new URL(request.url).searchParams));
  return answer(async (house, actor) => {
    if (actor.role !== 'teacher') throw new NotFound();
    const { record } = await recordOf(house, actor, classId, wish);
    return new Response(tableToCsv(record[which]), {
      headers: {
        'Content-Type': 'text/csv; charset=utf-8',
        'Content-Disposition': `attachment; filename="${which}.csv"`,
      },
    });
  });
}
