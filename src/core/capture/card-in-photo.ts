/** The print that a photograph is calibrated by, where it lies, and what the photograph shows of its greys and bare paper. */
import { labToLinearRgb } from '../colour/lab';
import type { Triple } from '../colour/srgb';
import { type BoxMm, boxMm, grow } from '../geometry/box';
import type { Photo } from '../raster/photo';
import { blankPlaces } from '../sheet/blank';
import type { ChromaPatchMm } from '../sheet/chroma';
import type { PatchMm } from '../sheet/frame';
import type { SheetLayout } from '../sheet/layout';
import type { CardProfile } from './card-profile';
import type { Plane } from './plane';
import { meanCodes, sampleBox } from './sample';
import type { LightModel } from './tone';

/** The print that a photograph is calibrated by, where it lies. */
export interface CardInPhoto {
  readonly plane: Plane;
  /** What x and y of the light run over from -1 to 1. */
  readonly extent: BoxMm;
  readonly patches: readonly PatchMm[];
  readonly chroma: readonly ChromaPatchMm[];
  readonly blanks: readonly BoxMm[];
  readonly model: LightModel;
  /** ln of light known from a second photograph, by place in mm; null where there is none. */
  readonly knownLight: ((xMm: number, yMm: number) => number) | null;
}

/** A place of which more (as a share) meets the camera's top code tells nothing. */
export const CLIPPED_SHARE = 0.02;

/** The print of a whole sheet as it lies in a photograph; `knownLight` is ln of light by place in mm, where a second photograph tells it. */
export function sheetCard(
  plane: Plane,
  layout: SheetLayout,
  knownLight: CardInPhoto['knownLight'] = null,
): CardInPhoto {
  return {
    plane,
    extent: boxMm(0, 0, layout.widthMm, layout.heightMm),
    patches: layout.patches,
    chroma: layout.chroma,
    blanks: blankPlaces(layout),
    model: 'sheet',
    knownLight,
  };
}

/** A place of the sheet (mm) as the light's polynomials take it, -1 to 1 over the extent. */
export function position(extent: BoxMm, xMm: number, yMm: number): readonly [number, number] {
  return [(2 * (xMm - extent.xMm)) / extent.widthMm - 1, (2 * (yMm - extent.yMm)) / extent.heightMm - 1];
}

/** One place of the card: what the camera made of it, and what is known of it. */
export interface CardSample {
  readonly xMm: number;
  readonly yMm: number;
  readonly codes: Triple;
  readonly clipped: number;
  /** What is known of it, linear sRGB. */
  readonly known: Triple;
  readonly patch: number;
}

/** Patches are read in this many parts along their longer side, so that light may vary over one. */
const PARTS = 3;

/** Edges of a patch are left out: small patches are photographed from further off. */
const insetOf = (box: BoxMm): number => (Math.min(box.widthMm, box.heightMm) < 11 ? 2 : 1.2);

function partsOf(box: BoxMm): BoxMm[] {
  const inner = grow(box, -insetOf(box));
  return Array.from({ length: PARTS }, (_, k) =>
    boxMm(inner.xMm + (k * inner.widthMm) / PARTS, inner.yMm, inner.widthMm / PARTS, inner.heightMm),
  );
}

/** All patches in parts, and all bare places, that lie in the photograph; `patch` is 0 for bare paper, else counts from 1. */
export function cardSamples(photo: Photo, card: CardInPhoto, profile: CardProfile): CardSample[] {
  const at = (box: BoxMm, stepMm: number, known: Triple, patch: number): CardSample[] => {
    const mean = meanCodes(sampleBox(photo, card.plane, box, stepMm));
    return mean ? [{ xMm: box.xMm + box.widthMm / 2, yMm: box.yMm + box.heightMm / 2, ...mean, known, patch }] : [];
  };
  const paper = labToLinearRgb(profile.paper);
  return [
    ...card.blanks.flatMap((box) => at(box, 0.4, paper, 0)),
    ...card.patches.flatMap((patch, i) => {
      const known = labToLinearRgb(profile.greys[i] as Triple);
      return partsOf(patch).flatMap((part) => at(part, 0.5, known, i + 1));
    }),
  ];
}
