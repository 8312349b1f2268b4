/** A reference as an exercise wants it: its tones and shapes, or its values, worked out of the picture and its preparation. */
import { type PaintingReference, paintingReference, type SeenReference } from '@/core/painting/reference';
import type { Raster } from '@/core/raster/raster';
import { framed } from '@/core/reference/framing';
import { luminanceOf, softLightness } from '@/core/reference/luminance-plane';
import type { Preparation } from '@/core/reference/preparation';
import { NothingToPrepare } from '@/core/reference/prepare';
import { type ReferencePlane, referencePlane, shapesOf, type Wanted } from '@/core/reference/prepared-tones';
import { OneSided } from '@/core/reference/shadow-map';
import { namedPlaces, namesIn } from '@/core/reference/shape-cut';
import { valueMap, valueSpan } from '@/core/reference/value-map';
import { PICTURE_STEPS } from '@/core/exercise/key';
import type { NamedShape } from '@/core/painting/shapes/named-shapes';
import { allotted, type Mass, objectOf } from '@/core/tones/mass';
import { TooFewTones } from '@/core/tones/thresholds';
import { LRUCache } from 'lru-cache';
import { UnusablePicture, withPhoto } from '../decoding/decode';
import { loadOpenCv } from '../decoding/opencv';
import { lightnessFromPng } from '../decoding/planes';

export interface PreparedReference {
  /** The picture that is worked on. */
  readonly picture: string;
  readonly preparation: Preparation;
  readonly wanted: Wanted;
}

/** An earlier painting that a later one is to be like, and how its exercise has its values. */
export interface FirstPanel {
  /** File of its lightness. */
  readonly panel: string;
  readonly preparation: Pick<Preparation, 'ends' | 'key'>;
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

/** Values that were made last. */
const keptValues = new LRUCache<string, PaintingReference>({ max: 4 });

/** The values that a painting from it is to have, with its named shapes. Throws UnusablePicture with what to do about it. */
export async function valuesOf(reference: PreparedReference | FirstPanel): Promise<PaintingReference> {
  const key = JSON.stringify(reference);
  const values =
    keptValues.get(key) ?? (await ('panel' in reference ? valuesOfPanel(reference) : makeValues(reference)));
  keptValues.set(key, values);
  return values;
}

/** What was painted is already within what paint can reach. */
async function valuesOfPanel({ panel }: FirstPanel): Promise<PaintingReference> {
  const lightness = await lightnessFromPng(panel);
  return paintingReference((await loadOpenCv()).cv, { lightness, target: lightness, shapes: null });
}

async function makeValues(reference: PreparedReference): Promise<PaintingReference> {
  const seen = await worked(reference, (rgb, preparation) => valuesIn(rgb, preparation));
  return paintingReference((await loadOpenCv()).cv, seen);
}

/** A mass as rules of form see it; steps of another number of tones than nine say nothing of these. */
export const shapeFrom = (mass: Mass): NamedShape => ({
  name: mass.name,
  object: objectOf(mass),
  part: mass.part === 'cast-shadow' ? 'cast' : mass.part,
  material: mass.material,
  steps: allotted(mass, PICTURE_STEPS),
  emphasis: mass.emphasis,
});

function valuesIn(rgb: Raster<'linear', 3>, preparation: Preparation): SeenReference {
  const luminance = luminanceOf(rgb);
  const lightness = softLightness(luminance, 0);
  const { width, height, data } = lightness;
  const { of } = valueMap(valueSpan(data), preparation);
  const cut = shapesOf(luminance, preparation);
  const names = namesIn(cut, preparation.shapes.named);
  const { numberOf, named } = namedPlaces(cut, new Map([...names].filter(([, n]) => n.standing === 'painted')));
  const open = new Set([...names].filter(([, n]) => n.standing !== 'painted').map(([shape]) => shape));
  return {
    lightness,
    colours: rgb,
    ...(open.size > 0 && { open: Uint8Array.from(cut.shapeOf, (s) => (open.has(s) ? 1 : 0)) }),
    target: { width, height, data: data.map(of) },
    shapes:
      named.length === 0
        ? null
        : {
            width,
            height,
            shapeOf: numberOf,
            shapes: named.map(shapeFrom),
            lights: preparation.light.count,
          },
  };
}

/** A picture's own values, L*, framed as it was prepared and not mapped to paint. */
export const ownValuesOf = (reference: PreparedReference): Promise<Raster<'lightness', 1>> =>
  worked(reference, (rgb) => softLightness(luminanceOf(rgb), 0));

const makePlane = (reference: PreparedReference): Promise<ReferencePlane> =>
  worked(reference, (rgb, preparation) => referencePlane(rgb, preparation, reference.wanted));

async function worked<T>(
  { picture, preparation }: PreparedReference,
  work: (rgb: Raster<'linear', 3>, preparation: Preparation) => T,
): Promise<T> {
  try {
    return await withPhoto(picture, null, (photo) =>
      work(framed(photo, preparation.corners, preparation.proportion), preparation),
    );
  } catch (error) {
    if (error instanceof TooFewTones || error instanceof NothingToPrepare || error instanceof OneSided)
      throw new UnusablePicture(`The reference can’t be measured against: ${error.message}`);
    throw error;
  }
}
