/** Route handlers answer with data or with 404; what fails is one sentence. */
import { FileMissing } from '@/data/files/file-store';
import { type Actor, isFull, NoRoom, NotFound, Refused, TooOften } from '@/studio/access/actor';
import type { House } from '@/studio/house';
import { UnusablePicture } from '@/workers/decoding/decode';
import { visitor } from './access';
import { sayError } from './outcome';

export const nothingHere = () => new Response('Not found', { status: 404 });

function statusOf(error: unknown): number {
  if (error instanceof NoRoom || isFull(error)) return 507;
  if (error instanceof TooOften) return 429;
  if (error instanceof FileMissing) return 404;
  return error instanceof Refused || error instanceof UnusablePicture ? 422 : 500;
}

/** Runs a handler for whoever is signed in; nobody, or somebody who may not, finds nothing. */
export async function answer(handle: (house: House, actor: Actor) => Promise<Response>): Promise<Response> {
  try {
    const { house, actor } = await visitor();
    return actor ? await handle(house, actor) : nothingHere();
  } catch (error) {
    if (error instanceof NotFound) return nothingHere();
    return Response.json({ say: sayError(error) }, { status: statusOf(error) });
  }
}

/** A post that another site's page sent with the visitor's cookies. */
export function fromElsewhere(request: Request): boolean {
  const origin = request.headers.get('origin');
  // A page without a place of its own says "null": it is not one of ours.
  return origin !== null && (!URL.canParse(origin) || new URL(origin).host !== request.headers.get('host'));
}
