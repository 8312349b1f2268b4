/** A plane by some of its places. */
import type { Plane } from './between';

/** Every so many of the places: no row is as long. */
const EVERY = 17;

/** Enough of a plane's places to tell what lies below what. */
export function someOf({ data }: Plane): Float32Array {
  const some = new Float32Array(Math.ceil(data.length / EVERY));
  for (let k = 0; k < some.length; k++) some[k] = data[k * EVERY] as number;
  return some;
}
