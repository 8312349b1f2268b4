import { exerciseFor, NotFound } from '@/studio/access/actor';
import { lookPicture, takeLook } from '@/studio/hand-in/looks';
import { answer, fromElsewhere, nothingHere } from '../../api';
import { withUpload } from '../../take-upload';
import { targetOf } from '../../target-of';

interface At {
  readonly params: Promise<{ exerciseId: string }>;
}

/** A photograph of what there is so far; it replaces the last look. */
export async function POST(request: Request, { params }: At): Promise<Response> {
  if (fromElsewhere(request)) return nothingHere();
  const { exerciseId } = await params;
  return answer(async (house, actor) => {
    if (actor.role !== 'student') throw new NotFound();
    await exerciseFor(house, actor, exerciseId);
    const target = targetOf(request);
    await withUpload(house, actor, request, (file) => takeLook(house, actor, exerciseId, file, target));
    return Response.json({});
  });
}

/** The student's own look, straightened and in greys. */
export async function GET(_: Request, { params }: At): Promise<Response> {
  const { exerciseId } = await params;
  return answer(async (house, actor) => {
    if (actor.role !== 'student') throw new NotFound();
    const bytes = await lookPicture(house, actor, exerciseId);
    return new Response(new Uint8Array(bytes), {
      headers: { 'Content-Type': 'image/jpeg', 'Cache-Control': 'private, max-age=300' },
    });
  });
}
