import { NotFound } from '@/studio/access/actor';
import { bringIn } from '@/studio/reference/references';
import { answer, fromElsewhere, nothingHere } from '../api';
import { withUpload } from '../take-upload';

/** A picture to paint from; what is said of it comes in the address, the file in the body. */
export async function POST(request: Request): Promise<Response> {
  if (fromElsewhere(request)) return nothingHere();
  const said = new URL(request.url).searchParams;
  const of = (name: string) => said.get(name) ?? '';
  return answer(async (house, actor) => {
    if (actor.role !== 'teacher') throw new NotFound();
    const origin = { title: of('title'), source: of('source'), licence: of('licence'), note: of('note') };
    return Response.json({
      id: await withUpload(house, actor, request, (file) => bringIn(house, actor, file, origin)),
    });
  });
}
