import { NotFound } from '@/studio/access/actor';
import { pictureOfAsked } from '@/studio/critique/opinions';
import { answer, nothingHere } from '../../../api';

/** The picture of a hand-in, for the teacher before whom it was laid. */
export async function GET(_: Request, { params }: { params: Promise<{ opinionId: string }> }): Promise<Response> {
  const { opinionId } = await params;
  return answer(async (house, actor) => {
    if (actor.role !== 'teacher') throw new NotFound();
    const bytes = await pictureOfAsked(house, actor, opinionId);
    if (!bytes) return nothingHere();
    return new Response(new Uint8Array(bytes), {
      headers: { 'Content-Type': 'image/jpeg', 'Cache-Control': 'private, max-age=300' },
    });
  });
}
