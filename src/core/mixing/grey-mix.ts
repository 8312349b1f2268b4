/** One grey mixed from two paints, in whole parts that can be measured out. */
import type { MediumId } from '../exercise/media';
import { type PaintId, PAINTS } from '../exercise/paints';
import { greyEnds } from './grey-set';
import { type Figures, mixModel, paletteOf } from './paint-model';
import { shareFor } from './reach';
import { MOST_PARTS, RATIOS } from './recipe-tree';
import { SURFACE_OF } from './surface';

/** Less than this share is no part of its own. */
const TOUCH = 0.5 / MOST_PARTS;

const parts = (n: number): string => (n === 1 ? '1 part' : `${n} parts`);

/** Whole parts whose share of the second is nearest. */
function nearest(share: number): readonly [first: number, second: number] {
  const off = ([a, b]: readonly [number, number]) => Math.abs(b / (a + b) - share);
  return RATIOS.reduce((best, own) => (off(own) < off(best) - 1e-9 ? own : best));
}

/** How a grey of `lightness` (L*) is mixed from a palette, in words; null where there are no two paints for it. */
export function sayGreyMix(
  paints: readonly PaintId[],
  figures: Figures,
  medium: MediumId,
  lightness: number,
): string | null {
  const ends = greyEnds(paints);
  if (!ends) return null;
  const palette = paletteOf(paints, figures);
  const [light, dark] = [mixModel(palette, { [ends.light]: 1 }), mixModel(palette, { [ends.dark]: 1 })];
  const { share } = shareFor(light, dark, lightness, SURFACE_OF[medium]);
  const [white, black] = [PAINTS[ends.light].name, PAINTS[ends.dark].name];
  if (share === 0) return white;
  if (share === 1) return black;
  if (share < TOUCH) return `${white} with a touch of ${black}`;
  if (share > 1 - TOUCH) return `${black} with a touch of ${white}`;
  const [a, b] = nearest(share);
  return `${parts(a)} ${white} to ${parts(b)} ${black}`;
}
