import { NotFound } from '@/studio/access/actor';
import { takePreparedOut } from '@/studio/reference/prepared-files';
import { Readable } from 'node:stream';
import { answer } from '../../api';

/** A picture with its rights and how it was prepared, to be brought in elsewhere. */
export async function GET(_: Request, { params }: { params: Promise<{ referenceId: string }> }): Promise<Response> {
  const { referenceId } = await params;
  return answer(async (house, actor) => {
    if (actor.role !== 'teacher') throw new NotFound();
    const zip = await takePreparedOut(house, actor, referenceId);
    return new Response(Readable.toWeb(zip as Readable) as ReadableStream, {
      headers: { 'Content-Type': 'application/zip', 'Content-Disposition': 'attachment; filename="prepared.zip"' },
    });
  });
}
