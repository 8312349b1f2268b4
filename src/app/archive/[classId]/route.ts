import { NotFound } from '@/studio/access/actor';
import { takeOut } from '@/studio/archive/take-out';
import { Readable } from 'node:stream';
import { answer } from '../../api';

/** A whole class as a ZIP. */
export async function GET(_: Request, { params }: { params: Promise<{ classId: string }> }): Promise<Response> {
  const { classId } = await params;
  return answer(async (house, actor) => {
    if (actor.role !== 'teacher') throw new NotFound();
    const { name, stream } = await takeOut(house, actor, classId);
    return new Response(Readable.toWeb(stream as Readable) as ReadableStream, {
      headers: {
        'Content-Type': 'application/zip',
        'Content-Disposition': `attachment; filename="class.zip"; filename*=UTF-8''${encodeURIComponent(name)}`,
      },
    });
  });
}
