import { rm } from 'node:fs/promises';
import { BadCorners, checkCorners } from '@/core/capture/open-corners';
import { type StoredTarget, storedTargetSchema } from '@/core/capture/stored-target';
import { NotFound, Refused } from '@/studio/actor';
import { checkRoom, receivePhoto } from '@/studio/receive';
import { answer, fromElsewhere, nothingHere } from '../../api';
import { takeUpload } from '../../take-upload';

/** Throws Refused with what is wrong with the corners. */
function targetFrom(text: string): StoredTarget {
  let parsed: ReturnType<typeof storedTargetSchema.safeParse>;
  try {
    parsed = storedTargetSchema.safeParse(JSON.parse(text));
  } catch {
    throw new Refused('The corners did not come through: mark them once more.');
  }
  if (!parsed.success) throw new Refused(parsed.error.issues[0]?.message ?? 'The corners did not come through: mark them once more.');
  if (parsed.data.kind === 'marked') {
    try {
      // Fractions do as well as pixels: whether lines cross is the same in both.
      checkCorners(parsed.data.corners.map((c) => ({ x: 1000 * c.x, y: 1000 * c.y })), 1000, 1000);
    } catch (error) {
      throw error instanceof BadCorners ? new Refused(error.message) : error;
    }
  }
  return parsed.data;
}

export async function POST(request: Request, { params }: { params: Promise<{ exerciseId: string }> }): Promise<Response> {
  if (fromElsewhere(request)) return nothingHere();
  const { exerciseId } = await params;
  const asked = new URL(request.url).searchParams.get('target');
  return answer(async (house, actor) => {
    if (actor.role !== 'student') throw new NotFound();
    const target = asked === null ? null : targetFrom(asked);
    await checkRoom(house);
    const file = await takeUpload(request, house.files.incoming);
    try {
      return Response.json(await receivePhoto(house, actor, exerciseId, file, target));
    } finally {
      await rm(file, { force: true });
    }
  });
}
