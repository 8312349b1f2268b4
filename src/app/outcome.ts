/** What an action answers: done, or one sentence about what to mend. Nothing else crosses to the page. */
import { FileMissing } from '@/data/files/file-store';
import { isFull, NoRoom, NotFound, Refused } from '@/studio/access/actor';
import { log } from '@/watch/log';
import { UnusablePicture } from '@/workers/decoding/decode';
import { ZodError } from 'zod';

export type Outcome<T = null> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly say: string };

export function sayError(error: unknown): string {
  if (error instanceof ZodError) return error.issues[0]?.message ?? 'Something in the form is not right.';
  if (error instanceof Refused || error instanceof UnusablePicture || error instanceof FileMissing)
    return error.message;
  if (isFull(error)) return new NoRoom().message;
  if (error instanceof NotFound) return 'This is not here (any more).';
  log.error({ err: error }, 'not foreseen');
  return 'Something went wrong on our side. Nothing was lost; try once more.';
}

export async function outcome<T>(work: () => Promise<T>): Promise<Outcome<T>> {
  try {
    return { ok: true, value: await work() };
  } catch (error) {
    return { ok: false, say: sayError(error) };
  }
}
