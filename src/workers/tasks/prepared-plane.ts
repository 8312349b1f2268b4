/** A reference as an exercise wants it: its tones and shapes, worked out of the picture and its preparation. */
import { framed } from '@/core/reference/framing';
import type { Preparation } from '@/core/reference/preparation';
import { NothingToPrepare } from '@/core/reference/prepare';
import { type ReferencePlane, referencePlane, type Wanted } from '@/core/reference/prepared-tones';
import { OneSided } from '@/core/reference/shadow-map';
import { TooFewTones } from '@/core/tones/thresholds';
import { LRUCache } from 'lru-cache';
import { UnusablePicture, withPhoto } from '../decoding/decode';

export interface PreparedReference {
  /** The picture that is worked on. */
  readonly picture: string;
  readonly preparation: Preparation;
  readonly wanted: Wanted;
}

/** Planes that were made last, by what they rest on: an evening's hand-ins are all measured against the same one. */
const kept = new LRUCache<string, ReferencePlane>({ max: 4 });

/** The reference as an exercise wants it. Throws UnusablePicture with what to do about it. */
export async function planeOf(reference: PreparedReference): Promise<ReferencePlane> {
  const key = JSON.stringify(reference);
  const plane = kept.get(key) ?? (await makePlane(reference));
  kept.set(key, plane);
  return plane;
}

async function makePlane({ picture, preparation, wanted }: PreparedReference): Promise<ReferencePlane> {
  try {
    return await withPhoto(picture, null, (photo) =>
      referencePlane(framed(photo, preparation.corners, preparation.proportion), preparation, wanted),
    );
  } catch (error) {
    if (error instanceof TooFewTones || error instanceof NothingToPrepare || error instanceof OneSided)
      throw new UnusablePicture(`The reference can’t be measured against: ${error.message}`);
    throw error;
  }
}
