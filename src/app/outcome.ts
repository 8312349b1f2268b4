/** What an action answers: done, or one sentence about what to mend, with what stands now where somebody else wrote meanwhile. */
import { FileMissing } from '@/data/files/file-store';
import { ChangedMeanwhile } from '@/studio/access/meanwhile';
import { isFull, NoRoom, NotFound, Refused } from '@/studio/access/actor';
import type { Answer } from '@/ui/parts/answer';
import { log } from '@/watch/log';
import { UnusablePicture } from '@/workers/decoding/decode';
import { ZodError } from 'zod';

export type Outcome<T = null, Theirs = unknown> = Answer<Theirs, T>;

export function sayError(error: unknown): string {
  if (error instanceof ZodError) return error.issues[0]?.message ?? 'Something in the form is not right.';
  if (error instanceof Refused || error instanceof UnusablePicture || error instanceof FileMissing)
    return error.message;
  if (isFull(error)) return new NoRoom().message;
  if (error instanceof NotFound) return 'This is not here (any more).';
  log.error({ err: error }, 'not foreseen');
  return 'Something went wrong on our side. Nothing was lost; try once more.';
}

/** `Theirs` is what the work is about: what it throws at another's writing. */
export async function outcome<T, Theirs = unknown>(work: () => Promise<T>): Promise<Outcome<T, Theirs>> {
  try {
    return { ok: true, value: await work() };
  } catch (error) {
    const say = sayError(error);
    if (!(error instanceof ChangedMeanwhile)) return { ok: false, say };
    const { theirs, written } = error as ChangedMeanwhile<Theirs>;
    return { ok: false, say, meanwhile: { theirs, written } };
  }
}
