import { NotFound } from '@/studio/actor';
import { cardFile } from '@/studio/cards';
import { answer, nothingHere } from '../../api';

export async function GET(request: Request, { params }: { params: Promise<{ classId: string }> }): Promise<Response> {
  const { classId } = await params;
  const as = new URL(request.url).searchParams.get('as');
  if (as !== 'csv' && as !== 'cgats') return nothingHere();
  return answer(async (house, actor) => {
    if (actor.role !== 'teacher') throw new NotFound();
    const text = await cardFile(house, actor, classId, as);
    const name = as === 'csv' ? 'card.csv' : 'card.txt';
    return new Response(text, { headers: { 'Content-Type': as === 'csv' ? 'text/csv; charset=utf-8' : 'text/plain; charset=utf-8', 'Content-Disposition': `attachment; filename="${name}"` } });
  });
}
