import { exerciseFor, NotFound } from '@/studio/access/actor';
import { receivePhoto } from '@/studio/hand-in/receive';
import { answer, fromElsewhere, nothingHere } from '../../api';
import { withUpload } from '../../take-upload';
import { targetOf } from '../../target-of';

export async function POST(
  request: Request,
  { params }: { params: Promise<{ exerciseId: string }> },
): Promise<Response> {
  if (fromElsewhere(request)) return nothingHere();
  const { exerciseId } = await params;
  return answer(async (house, actor) => {
    if (actor.role !== 'student') throw new NotFound();
    await exerciseFor(house, actor, exerciseId);
    const target = targetOf(request);
    const stage = new URL(request.url).searchParams.get('stage');
    return Response.json(
      await withUpload(house, actor, request, (file) => receivePhoto(house, actor, exerciseId, file, target, stage)),
    );
  });
}
