import { formatShelf } from '@/core/formats/shelf-csv';
import { NotFound } from '@/studio/access/actor';
import { shelfOf } from '@/studio/mixing/shelf';
import { answer } from '../api';

/** The cupboard as CSV. */
export async function GET(): Promise<Response> {
  return answer(async (house, actor) => {
    if (actor.role !== 'teacher') throw new NotFound();
    return new Response(formatShelf(await shelfOf(house, actor)), {
      headers: {
        'Content-Type': 'text/csv; charset=utf-8',
        'Content-Disposition': 'attachment; filename="cupboard.csv"',
      },
    });
  });
}
