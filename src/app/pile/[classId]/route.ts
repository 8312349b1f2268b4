/** One file of a pile, a picture or a ZIP of them; answers line by line as each picture is sorted. */
import { classToChange, NotFound } from '@/studio/access/actor';
import { type PileOutcome, sortIntoClass } from '@/studio/hand-in/pile';
import { checkRoom } from '@/studio/hand-in/receive';
import { isZip, unzip } from '@/studio/hand-in/unzip';
import { open, rm } from 'node:fs/promises';
import { z } from 'zod';
import { answer, fromElsewhere, nothingHere } from '../../api';
import { sayError } from '../../outcome';
import { takeUpload } from '../../take-upload';

const MAX_BYTES = 1024 * 1024 * 1024;
const nameSchema = z.string().trim().min(1).max(200).catch('picture');

async function startsAsZip(file: string): Promise<boolean> {
  const handle = await open(file, 'r');
  try {
    const { buffer } = await handle.read(Buffer.alloc(4), 0, 4, 0);
    return isZip(buffer);
  } finally {
    await handle.close();
  }
}

export async function POST(request: Request, { params }: { params: Promise<{ classId: string }> }): Promise<Response> {
  if (fromElsewhere(request)) return nothingHere();
  const { classId } = await params;
  const name = nameSchema.parse(new URL(request.url).searchParams.get('name') ?? '');
  return answer(async (house, actor) => {
    if (actor.role !== 'teacher') throw new NotFound();
    await classToChange(house, actor, classId);
    await checkRoom(house);
    const file = await takeUpload(request, house.files.incoming, MAX_BYTES);
    async function* outcomes(): AsyncGenerator<PileOutcome> {
      if (actor.role !== 'teacher') return;
      if (!(await startsAsZip(file))) {
        yield* await sortIntoClass(house, actor, classId, name, file);
        return;
      }
      for await (const entry of unzip(file, house.files.incoming)) {
        if (entry.file === null) {
          yield { name: entry.name, kind: 'refused', say: entry.reason ?? '' };
          continue;
        }
        try {
          yield* await sortIntoClass(house, actor, classId, entry.name, entry.file);
        } finally {
          await rm(entry.file, { force: true });
        }
      }
    }
    const lines = new ReadableStream<Uint8Array>({
      async start(controller) {
        const tell = (line: PileOutcome) => controller.enqueue(new TextEncoder().encode(`${JSON.stringify(line)}\n`));
        try {
          for await (const outcome of outcomes()) tell(outcome);
        } catch (error) {
          tell({ name, kind: 'refused', say: sayError(error) });
        } finally {
          await rm(file, { force: true });
          controller.close();
        }
      },
    });
    return new Response(lines, { headers: { 'Content-Type': 'application/x-ndjson', 'Cache-Control': 'no-store' } });
  });
}
