import { NotFound } from '@/studio/access/actor';
import { practiceLook, practicePhoto } from '@/studio/practice/practice';
import { answer, fromElsewhere, nothingHere } from '../../api';

export async function POST(
  request: Request,
  { params }: { params: Promise<{ exerciseId: string }> },
): Promise<Response> {
  if (fromElsewhere(request)) return nothingHere();
  const { exerciseId } = await params;
  const looking = new URL(request.url).searchParams.get('for') === 'look';
  return answer(async (house, actor) => {
    if (actor.role !== 'student') throw new NotFound();
    if (looking) {
      await practiceLook(house, actor, exerciseId);
      return Response.json({});
    }
    return Response.json(await practicePhoto(house, actor, exerciseId));
  });
}
