import { NotFound } from '@/studio/access/actor';
import { cardFile, carryCardOver } from '@/studio/class/cards';
import { answer, fromElsewhere, nothingHere } from '../../api';
import { withUpload } from '../../take-upload';

export async function GET(request: Request, { params }: { params: Promise<{ classId: string }> }): Promise<Response> {
  const { classId } = await params;
  const as = new URL(request.url).searchParams.get('as');
  if (as !== 'csv' && as !== 'cgats') return nothingHere();
  return answer(async (house, actor) => {
    if (actor.role !== 'teacher') throw new NotFound();
    const text = await cardFile(house, actor, classId, as);
    const name = as === 'csv' ? 'card.csv' : 'card.txt';
    return new Response(text, {
      headers: {
        'Content-Type': as === 'csv' ? 'text/csv; charset=utf-8' : 'text/plain; charset=utf-8',
        'Content-Disposition': `attachment; filename="${name}"`,
      },
    });
  });
}

/** A photograph of a new print beside the known one; `known` says on which side that lies. */
export async function POST(request: Request, { params }: { params: Promise<{ classId: string }> }): Promise<Response> {
  if (fromElsewhere(request)) return nothingHere();
  const { classId } = await params;
  const known = new URL(request.url).searchParams.get('known') === 'right' ? 'right' : 'left';
  return answer(async (house, actor) => {
    if (actor.role !== 'teacher') throw new NotFound();
    await withUpload(house, actor, request, (file) => carryCardOver(house, actor, classId, file, known));
    return Response.json({});
  });
}
