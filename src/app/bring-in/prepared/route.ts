import { NotFound } from '@/studio/access/actor';
import { bringPreparedIn } from '@/studio/reference/prepared-files';
import { answer, fromElsewhere, nothingHere } from '../../api';
import { withUpload } from '../../take-upload';

/** A prepared picture from its ZIP. */
export async function POST(request: Request): Promise<Response> {
  if (fromElsewhere(request)) return nothingHere();
  return answer(async (house, actor) => {
    if (actor.role !== 'teacher') throw new NotFound();
    return Response.json({
      id: await withUpload(house, actor, request, (file) => bringPreparedIn(house, actor, file)),
    });
  });
}
