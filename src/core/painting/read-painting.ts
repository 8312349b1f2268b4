/** The lightness of a painting on its photograph, before it is compared with anything. */
import { placedBetween } from '../capture/between-ends';
import type { CaptureIssue } from '../capture/gate';
import { type Framing, openPainting, type OpenedPainting } from '../capture/open-painting';
import { paintOver } from '../capture/paint-over';
import type { MeasureTools } from '../capture/tools';
import type { Ends } from '../exercise/scale';
import { type BoxMm, grow } from '../geometry/box';
import type { Photo } from '../raster/photo';
import type { Raster } from '../raster/raster';
import { someOf } from '../raster/some-of';
import { TEN_TO_NINETY } from './shapes/edge-widths';
import { unpaintedIssue } from './registration/misfit';
import { endsOf } from './reference';
import { PAINTING_RESULT_VERSION, type PaintingResult } from './result';

/** Samples across the longer side. */
const SAMPLES = 640;
/** Grain is smoothed by this share of the longer side. */
export const SMOOTH = 0.0015;
/** Taking samples, and values between them, softens by this, samples: what a square and linear interpolation do (1/12 + 1/6). */
const SAMPLED = 0.5;
/** The outermost samples: the frame's line, and paper where a hand wavered. */
const RIM = 3;

export interface ReadPainting {
  readonly base: OpenedPainting['base'];
  readonly issues: readonly CaptureIssue[];
  /** Null where it can't be used: the issues say why. */
  readonly painting: {
    readonly plane: Raster<'lightness', 1>;
    /** The same with all its grain, worked out when it is asked for. */
    readonly grainy: () => Raster<'lightness', 1>;
    /** Linear RGB on the same places, as it is; null where nothing is known of light and dark. */
    readonly colours: Raster<'linear', 3> | null;
    /** All that was painted, and what of it was read. */
    readonly box: BoxMm;
    readonly read: BoxMm;
    /** Nothing is known of light and dark: it was placed between ends that it was to have. */
    readonly relative: boolean;
    /** How much the camera and taking samples softened it, grain and all, widths (sigma of a Gaussian). */
    readonly blur: number;
    /** How far a lightness may be off, L*. */
    readonly uncertainty: (lightness: number) => number;
  } | null;
}

/**
 * Reads a painting. Where nothing is known of light and dark all but its lightest and its darkest hundredth are placed between
 * `ends`. What is one grey is refused, unless it may be. Throws BadCorners and WrongCard on what was given beside the photograph.
 */
export async function readPainting(
  photo: Photo,
  framing: Framing,
  ends: Ends,
  tools: MeasureTools,
  { mayBeFlat = false } = {},
): Promise<ReadPainting> {
  tools.onStage?.('finding the sheet');
  const { base, issues, found } = await openPainting(photo, framing, tools);
  if (!found) return { base, issues, painting: null };
  tools.onStage?.('reading the steps');
  const apart = Math.max(found.box.widthMm, found.box.heightMm) / SAMPLES;
  const read = grow(found.box, -RIM * apart);
  const { lightness: plain, grainy, colours } = paintOver(photo, found.calibration, read, apart, SMOOTH * SAMPLES);
  const unpainted = mayBeFlat ? null : unpaintedIssue(someOf(plain));
  if (unpainted) return { base, issues: [...issues, unpainted], painting: null };
  const { box, relative, blurMm, uncertainty } = found;
  const placed = relative ? placedBetween(endsOf(plain), ends) : null;
  const placedIn = (own: typeof plain) => (placed ? { ...own, data: own.data.map(placed) } : own);
  return {
    base,
    issues,
    painting: {
      plane: placedIn(plain),
      grainy: () => placedIn(grainy()),
      colours: relative ? null : colours,
      blur: Math.hypot(SAMPLED * apart, (blurMm ?? 0) / TEN_TO_NINETY) / box.widthMm,
      ...{ box, read, relative, uncertainty },
    },
  };
}

/** The result of a painting of which nothing could be measured. */
export const nothingRead = (
  { base, issues }: Pick<ReadPainting, 'base' | 'issues'>,
  step: number,
  more: readonly CaptureIssue[] = [],
): PaintingResult => ({
  version: PAINTING_RESULT_VERSION,
  kind: 'painting',
  capture: { ...base, accepted: false, uncertainty: null, issues: [...issues, ...more] },
  step,
  registration: null,
  overall: null,
  regions: [],
  displacements: [],
  gaps: [],
  accents: [],
  extents: [],
  shapes: [],
  contrasts: [],
  rules: [],
  range: null,
  whole: null,
  frame: null,
  rescue: null,
  colour: null,
  accentsOfColour: null,
  stage: null,
  fromLife: false,
});
