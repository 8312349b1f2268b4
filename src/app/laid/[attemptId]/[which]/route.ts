import { PAINTING_PICTURES } from '@/core/painting/pictures';
import { NotFound } from '@/studio/access/actor';
import { paintingPictureOf } from '@/studio/views/table';
import { answer, nothingHere } from '../../../api';

/** A painting in greys as it lies on what was wanted of it, that, or how they differ. */
export async function GET(
  _: Request,
  { params }: { params: Promise<{ attemptId: string; which: string }> },
): Promise<Response> {
  const { attemptId, which } = await params;
  const asked = PAINTING_PICTURES.find((p) => p === which);
  if (!asked) return nothingHere();
  return answer(async (house, actor) => {
    if (actor.role !== 'teacher') throw new NotFound();
    const bytes = await paintingPictureOf(house, actor, attemptId, asked);
    return bytes
      ? new Response(new Uint8Array(bytes), {
          headers: { 'Content-Type': 'image/png', 'Cache-Control': 'private, max-age=60' },
        })
      : nothingHere();
  });
}
