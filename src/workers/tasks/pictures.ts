/** Pictures of a hand-in to look at: the photograph upright and small, and what was painted, straightened. */
import type { KnownCard } from '@/core/capture/open-sheet';
import type { StoredTarget } from '@/core/capture/stored-target';
import type { ExerciseTerms } from '@/core/exercise/terms';
import type { Orientation, Photo } from '@/core/raster/photo';
import sharp, { type Sharp } from 'sharp';
import { MAX_PIXELS, withPhoto } from '../decoding/decode';
import { straighten, straightJpeg } from './straighten';

export interface PicturesTask {
  readonly task: 'pictures';
  readonly file: string;
  readonly orientation: number | null;
  readonly terms: ExerciseTerms;
  readonly target?: StoredTarget;
  readonly card?: KnownCard;
  readonly lineMm?: number;
}

export interface Pictures {
  readonly preview: Uint8Array;
  /** What was painted, straightened; null where it was not found. */
  readonly strip: Uint8Array | null;
}

const PREVIEW_PX = 1600;

/** Turns stored pixels upright. Mirrors come before turns, as the numbers 5 and 7 want it. */
export function turned(image: Sharp, orientation: Orientation): Sharp {
  switch (orientation) {
    case 1:
      return image;
    case 2:
      return image.flop();
    case 3:
      return image.rotate(180);
    case 4:
      return image.flip();
    case 5:
      return image.flop().rotate(270);
    case 6:
      return image.rotate(90);
    case 7:
      return image.flop().rotate(90);
    case 8:
      return image.rotate(270);
  }
}

export function makePictures(task: PicturesTask): Promise<Pictures> {
  return withPhoto(task.file, task.orientation, (photo) => picturesOf(photo, task));
}

async function picturesOf(photo: Photo, task: PicturesTask): Promise<Pictures> {
  // From the file and not from its codes: for looking, the profile is to be heeded.
  const seen = turned(sharp(task.file, { failOn: 'warning', limitInputPixels: MAX_PIXELS }), photo.orientation);
  const preview = await seen
    .resize({ width: PREVIEW_PX, height: PREVIEW_PX, fit: 'inside', withoutEnlargement: true })
    .jpeg({ quality: 85 })
    .toBuffer();
  const straight = await straighten(photo, task.terms, task.target ?? null, {
    ...(task.card && { card: task.card }),
    ...(task.lineMm !== undefined && { lineMm: task.lineMm }),
  });
  return { preview, strip: straight && (await straightJpeg(straight)) };
}
