import { rm } from 'node:fs/promises';
import { NotFound } from '@/studio/actor';
import { checkRoom, receivePhoto } from '@/studio/receive';
import { answer, fromElsewhere, nothingHere } from '../../api';
import { takeUpload } from '../../take-upload';

export async function POST(request: Request, { params }: { params: Promise<{ exerciseId: string }> }): Promise<Response> {
  if (fromElsewhere(request)) return nothingHere();
  const { exerciseId } = await params;
  return answer(async (house, actor) => {
    if (actor.role !== 'student') throw new NotFound();
    await checkRoom(house);
    const file = await takeUpload(request, house.files.incoming);
    try {
      return Response.json(await receivePhoto(house, actor, exerciseId, file));
    } finally {
      await rm(file, { force: true });
    }
  });
}
