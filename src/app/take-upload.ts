/** Streams the one file of a form to disk, so that a large photograph never stands whole in memory twice. */
import { newId } from '@/data/schema/ids';
import { type Actor, isFull, NoRoom, Refused, TooOften } from '@/studio/access/actor';
import { checkRoom, MAX_UPLOAD_BYTES } from '@/studio/hand-in/receive';
import type { House } from '@/studio/house';
import busboy from 'busboy';
import { createWriteStream } from 'node:fs';
import { rm } from 'node:fs/promises';
import path from 'node:path';
import { Readable, type Writable } from 'node:stream';
import { pipeline } from 'node:stream/promises';

const NO_FILE = 'No picture came with this: choose a photograph and send it once more.';
const CUT_OFF = 'The picture did not come through whole: send it once more.';

/** Throws Refused where the form does not say how its parts are told apart. */
function parserOf(type: string, maxBytes: number): busboy.Busboy {
  try {
    return busboy({ headers: { 'content-type': type }, limits: { files: 1, fileSize: maxBytes, fields: 4 } });
  } catch {
    throw new Refused(CUT_OFF);
  }
}

/** Path of the uploaded file; the caller removes it. Throws Refused with words for the sender. */
export async function takeUpload(
  request: Request,
  folder: string,
  maxBytes: number = MAX_UPLOAD_BYTES,
  openFile: (file: string) => Writable = createWriteStream,
): Promise<string> {
  const type = request.headers.get('content-type') ?? '';
  if (!request.body || !type.startsWith('multipart/form-data')) throw new Refused(NO_FILE);
  const file = path.join(folder, `upload-${newId()}`);
  const parser = parserOf(type, maxBytes);
  let taken: Promise<void> | null = null;
  let [tooLarge, noRoom] = [false, false];
  parser.on('file', (_name, stream) => {
    stream.on('limit', () => {
      tooLarge = true;
    });
    taken = pipeline(stream, openFile(file));
    // What can't be written is not waited for: without this the rest of the form would be, for good.
    taken.catch((error: unknown) => {
      noRoom = isFull(error);
      parser.destroy(new Error('The file could not be written.'));
    });
  });
  try {
    await pipeline(Readable.fromWeb(request.body as Parameters<typeof Readable.fromWeb>[0]), parser);
    if (!taken) throw new Refused(NO_FILE);
    await (taken as Promise<void>);
  } catch (error) {
    await rm(file, { force: true });
    if (noRoom) throw new NoRoom();
    throw error instanceof Refused ? error : new Refused(CUT_OFF);
  }
  if (tooLarge) {
    await rm(file, { force: true });
    throw new Refused(
      `This file is larger than ${Math.round(maxBytes / 1024 / 1024)} MB: send the photograph as the phone took it.`,
    );
  }
  return file;
}

/** Throws TooOften at a student who sends more than anybody paints. */
export async function checkOften(house: House, actor: Actor): Promise<void> {
  if (actor.role === 'student' && !(await house.door.countUpload(actor.studentId))) throw new TooOften();
}

/** Takes the photograph of a request, does the work with it, and removes the file whatever comes of it. */
export async function withUpload<T>(
  house: House,
  actor: Actor,
  request: Request,
  work: (file: string) => Promise<T>,
): Promise<T> {
  await checkOften(house, actor);
  await checkRoom(house);
  const file = await takeUpload(request, house.files.incoming);
  try {
    return await work(file);
  } finally {
    await rm(file, { force: true });
  }
}
