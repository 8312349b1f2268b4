/** A banded picture to paint: each band with its step, how large it is, and where the light sits in the frame. */
import type { TermsOf } from '../exercise/terms';
import { drawMotif, type Frame } from './motifs';
import { areaOf, perimeterOf, roomiest, without, type Corner, type Shape } from './shapes';

export interface Band {
  /** 1 is the lightest. */
  readonly index: number;
  readonly shape: Shape;
  readonly areaMm2: number;
  readonly perimeterMm: number;
  /** A roomy place for the band's number; null where the band is hidden. */
  readonly numberAt: Corner | null;
}

export interface BandPicture {
  readonly frame: Frame;
  readonly bands: readonly Band[];
  /** Drawn in front, in the darkest paint; null where students make their own. */
  readonly silhouette: Omit<Band, 'index' | 'numberAt'> | null;
  /** The crossing of thirds that is nearest to the light, and how far it is. */
  readonly thirds: { readonly at: Corner; readonly distanceMm: number };
}

export const BAND_FRAME: Frame = { widthMm: 180, heightMm: 150 };

/** The crossing of thirds nearest to a lamp, and how far off it is; places are millimetres in the frame. */
export function nearestThird(frame: Frame, lamp: { readonly x: number; readonly y: number }): BandPicture['thirds'] {
  const crossings = [1, 2].flatMap((i) =>
    [1, 2].map((k): Corner => [(i * frame.widthMm) / 3, (k * frame.heightMm) / 3]),
  );
  const [x, y] = [lamp.x * frame.widthMm, lamp.y * frame.heightMm];
  return crossings
    .map((at) => ({ at, distanceMm: Math.hypot(at[0] - x, at[1] - y) }))
    .reduce((best, next) => (next.distanceMm < best.distanceMm ? next : best));
}

type BandTerms = Pick<TermsOf<'bands'>, 'steps' | 'motif' | 'lamp' | 'brushMm' | 'silhouettes'>;

/** Cutting a picture out takes a twentieth of a second, and a class's pages and sheets ask for one again and again: the last few are kept. */
const drawnBefore = new Map<string, BandPicture>();
const KEPT = 24;

/** Throws DoesNotFit with what to change when the bands would be narrower than the brush. */
export function bandPicture(terms: BandTerms, frame: Frame = BAND_FRAME): BandPicture {
  const { steps, motif, lamp, brushMm, silhouettes } = terms;
  const key = JSON.stringify([steps, motif, lamp.x, lamp.y, brushMm, silhouettes, frame.widthMm, frame.heightMm]);
  const picture = drawnBefore.get(key) ?? cutOut(terms, frame);
  // Put last, whether it was there or not: the one that nobody has asked for the longest goes first.
  drawnBefore.delete(key);
  drawnBefore.set(key, picture);
  const [oldest] = drawnBefore.keys();
  if (drawnBefore.size > KEPT && oldest !== undefined) drawnBefore.delete(oldest);
  return picture;
}

function cutOut(terms: BandTerms, frame: Frame): BandPicture {
  const drawn = drawMotif(terms.motif, { frame, bands: terms.steps, brushMm: terms.brushMm, lamp: terms.lamp });
  const front = terms.silhouettes === 'drawn' ? drawn.silhouette : null;
  return {
    frame,
    bands: drawn.bands.map((whole, i) => {
      const shape = front ? without(whole, front) : whole;
      return {
        index: i + 1,
        shape,
        areaMm2: areaOf(shape),
        perimeterMm: perimeterOf(shape),
        numberAt: roomiest(shape),
      };
    }),
    silhouette: front && { shape: front, areaMm2: areaOf(front), perimeterMm: perimeterOf(front) },
    thirds: nearestThird(frame, terms.lamp),
  };
}
