import { NotFound } from '@/studio/access/actor';
import { remarksCsv } from '@/studio/critique/remarks';
import { answer } from '../api';

/** A teacher's own remarks as CSV. */
export async function GET(): Promise<Response> {
  return answer(async (house, actor) => {
    if (actor.role !== 'teacher') throw new NotFound();
    return new Response(await remarksCsv(house, actor), {
      headers: {
        'Content-Type': 'text/csv; charset=utf-8',
        'Content-Disposition': 'attachment; filename="remarks.csv"',
      },
    });
  });
}
