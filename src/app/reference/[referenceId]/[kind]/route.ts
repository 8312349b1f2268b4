import { NotFound } from '@/studio/access/actor';
import { REFERENCE_PICTURES, referencePicture } from '@/studio/reference/references';
import { answer, nothingHere } from '../../../api';

export async function GET(
  _: Request,
  { params }: { params: Promise<{ referenceId: string; kind: string }> },
): Promise<Response> {
  const { referenceId, kind } = await params;
  const wanted = REFERENCE_PICTURES.find((k) => k === kind);
  if (!wanted) return nothingHere();
  return answer(async (house, actor) => {
    if (actor.role !== 'teacher') throw new NotFound();
    const { bytes, type } = await referencePicture(house, actor, referenceId, wanted);
    return new Response(new Uint8Array(bytes), {
      headers: { 'Content-Type': type, 'Cache-Control': 'private, max-age=300' },
    });
  });
}
