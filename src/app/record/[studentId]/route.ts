import { NotFound } from '@/studio/access/actor';
import { exportStudent } from '@/studio/class/records';
import { Readable } from 'node:stream';
import { answer } from '../../api';

export async function GET(_: Request, { params }: { params: Promise<{ studentId: string }> }): Promise<Response> {
  const { studentId } = await params;
  return answer(async (house, actor) => {
    if (actor.role !== 'teacher') throw new NotFound();
    const { name, stream } = await exportStudent(house, actor, studentId);
    return new Response(Readable.toWeb(stream as Readable) as ReadableStream, {
      headers: { 'Content-Type': 'application/zip', 'Content-Disposition': `attachment; filename="${name}"` },
    });
  });
}
