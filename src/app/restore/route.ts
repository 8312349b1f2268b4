import { NotFound } from '@/studio/access/actor';
import { bringClassIn } from '@/studio/archive/bring-in';
import { checkRoom } from '@/studio/hand-in/receive';
import { rm } from 'node:fs/promises';
import { answer, fromElsewhere, nothingHere } from '../api';
import { takeUpload } from '../take-upload';

/** A class of many, with every photograph of a year. */
const MOST_BYTES = 20 * 1024 ** 3;

/** A class from its archive. */
export async function POST(request: Request): Promise<Response> {
  if (fromElsewhere(request)) return nothingHere();
  return answer(async (house, actor) => {
    if (actor.role !== 'teacher') throw new NotFound();
    await checkRoom(house);
    const file = await takeUpload(request, house.files.incoming, MOST_BYTES);
    try {
      return Response.json({ id: await bringClassIn(house, actor, file) });
    } finally {
      await rm(file, { force: true });
    }
  });
}
