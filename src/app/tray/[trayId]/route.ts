import { NotFound } from '@/studio/access/actor';
import { trayPicture } from '@/studio/hand-in/pile';
import { answer, nothingHere } from '../../api';

export async function GET(_: Request, { params }: { params: Promise<{ trayId: string }> }): Promise<Response> {
  const { trayId } = await params;
  return answer(async (house, actor) => {
    if (actor.role !== 'teacher') throw new NotFound();
    const bytes = await trayPicture(house, actor, trayId);
    return bytes
      ? new Response(new Uint8Array(bytes), {
          headers: { 'Content-Type': 'image/jpeg', 'Cache-Control': 'private, max-age=300' },
        })
      : nothingHere();
  });
}
