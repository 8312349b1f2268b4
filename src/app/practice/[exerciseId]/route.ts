import { NotFound } from '@/studio/actor';
import { practicePhoto } from '@/studio/practice';
import { answer, fromElsewhere, nothingHere } from '../../api';

export async function POST(request: Request, { params }: { params: Promise<{ exerciseId: string }> }): Promise<Response> {
  if (fromElsewhere(request)) return nothingHere();
  const { exerciseId } = await params;
  return answer(async (house, actor) => {
    if (actor.role !== 'student') throw new NotFound();
    return Response.json(await practicePhoto(house, actor, exerciseId));
  });
}
