/** A prepared picture out and in again: its bytes as they were brought in, where it is from, who may use it, and how it was prepared. */
import { preparationSchema } from '@/core/reference/preparation';
import { FileMissing } from '@/data/files/file-store';
import { referencePictures } from '@/data/schema/tables';
import { eq } from 'drizzle-orm';
import { rm } from 'node:fs/promises';
import yazl from 'yazl';
import { z } from 'zod';
import { Refused, type Teacher } from '../access/actor';
import { openArchive } from '../archive/open-zip';
import type { House } from '../house';
import { bringIn, originSchema, referenceFor } from './references';

export const PREPARED_VERSION = 1;
const FORMAT = 'fair-grey-reference';

const NONE = 'This is no prepared picture. Choose a ZIP that was taken out of References.';
const documentSchema = z.object({
  format: z.literal(FORMAT, NONE),
  version: z
    .number(NONE)
    .int()
    .min(1)
    .max(PREPARED_VERSION, 'This picture was prepared with a newer Fair Grey: bring it in with that one.'),
  ...originSchema.shape,
  picture: z.string(NONE),
  preparation: preparationSchema,
});

const damaged = () =>
  new Refused('This file is damaged, or was changed by hand. Take the picture out once more; nothing was brought in.');

/** The ZIP of a picture. Throws NotFound where it is none that the teacher sees, Refused where its file is missing. */
export async function takePreparedOut(
  house: House,
  teacher: Teacher,
  referenceId: string,
): Promise<NodeJS.ReadableStream> {
  const { title, source, licence, note, pictureHash, preparation } = await referenceFor(house, teacher, referenceId);
  const file = await house.files.local(pictureHash).catch((error: unknown) => {
    throw error instanceof FileMissing ? new Refused(error.message) : error;
  });
  // Pictures that were laid beside it are others’ files, and have their own rights.
  const document = {
    ...{ format: FORMAT, version: PREPARED_VERSION, title, source, licence, note, picture: pictureHash },
    preparation: { ...preparation, exemplars: [] },
  };
  const zip = new yazl.ZipFile();
  zip.addBuffer(Buffer.from(`${JSON.stringify(document, null, 2)}\n`), 'archive.json');
  zip.addFile(file, `files/${pictureHash}`, { compress: false });
  zip.end();
  return zip.outputStream;
}

function readDocument(text: string): z.output<typeof documentSchema> {
  let given: unknown;
  try {
    given = JSON.parse(text);
  } catch {
    throw damaged();
  }
  const { data, error } = documentSchema.safeParse(given);
  if (data) return data;
  const [issue] = error.issues;
  throw issue && ['format', 'version'].includes(String(issue.path[0])) ? new Refused(issue.message) : damaged();
}

/** Brings a prepared picture in as one of the teacher's own; returns its id. Throws Refused with what to do. */
export async function bringPreparedIn(house: House, teacher: Teacher, file: string): Promise<string> {
  const { document, files } = await openArchive(file, house.files.incoming, damaged);
  try {
    const { picture, preparation, title, source, licence, note } = readDocument(document);
    const bytes = files.get(picture);
    if (!bytes || files.size !== 1) throw damaged();
    const id = await bringIn(house, teacher, bytes, { title, source, licence, note });
    await house.db
      .update(referencePictures)
      .set({ preparation: { ...preparation, exemplars: [] }, revision: 1 })
      .where(eq(referencePictures.id, id));
    return id;
  } finally {
    await Promise.all([...files.values()].map((out) => rm(out, { force: true })));
  }
}
