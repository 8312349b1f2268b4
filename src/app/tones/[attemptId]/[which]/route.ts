import { NotFound } from '@/studio/access/actor';
import { tonesOfAttempt } from '@/studio/views/table';
import { answer, nothingHere } from '../../../api';

/** The tones of a painting as they were read, or as they were wanted. */
export async function GET(
  _: Request,
  { params }: { params: Promise<{ attemptId: string; which: string }> },
): Promise<Response> {
  const { attemptId, which } = await params;
  if (which !== 'wanted' && which !== 'drawn') return nothingHere();
  return answer(async (house, actor) => {
    if (actor.role !== 'teacher') throw new NotFound();
    const bytes = await tonesOfAttempt(house, actor, attemptId, which);
    return bytes
      ? new Response(new Uint8Array(bytes), {
          headers: { 'Content-Type': 'image/png', 'Cache-Control': 'private, max-age=60' },
        })
      : nothingHere();
  });
}
