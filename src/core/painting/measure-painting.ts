/** Measures a painting against its reference: how the whole sits and how light it is, then what single parts are off by. */
import { placedBetween } from '../capture/between-ends';
import { type CaptureIssue, refuses } from '../capture/gate';
import { type Framing, openPainting } from '../capture/open-painting';
import { lightnessOver } from '../capture/lightness-over';
import type { MeasureTools } from '../capture/tools';
import type { Ends } from '../exercise/scale';
import { quantiles } from '../fitting/quantile';
import { type BoxMm, grow } from '../geometry/box';
import { withIds } from '../geometry/place-ids';
import type { Photo } from '../raster/photo';
import { type Plane, shrunk } from '../raster/between';
import { onGrid } from '../raster/on-grid';
import { outlineOf } from '../raster/outline';
import { type Affine, registrationOf } from './affine';
import { alignWhole } from './align-whole';
import { accentsOf } from './accents';
import { extentsOf } from './extents';
import { type FoundFeature, namedFeatures, rimsOf, unnamedFeatures } from './features';
import { localContrast } from './local-contrast';
import { misfitOf, unpaintedIssue } from './misfit';
import { nameOfPlaces, readShapes, type ShapePlane } from './named-shapes';
import { laidOn, laidWith, readParts } from './read-parts';
import { regionsOf } from './regions';
import { PAINTING_RESULT_VERSION, type PaintingResult } from './result';
import type { Segments } from './segments';
import { withoutFrame } from './without-frame';
import { onCurve, type ValueCurve, valueCurve } from './value-curve';

export interface PaintingReference {
  /** L* as the picture has it, and as paint is to have it. */
  readonly lightness: Plane;
  readonly target: Plane;
  /** Shapes that have a name, on the same places. */
  readonly shapes: ShapePlane | null;
}

export interface PaintingRequest extends Framing {
  readonly reference: PaintingReference;
  /** What a step of the exercise is, L*. */
  readonly step: number;
  /** How many steps a part may be off by. */
  readonly toleranceSteps: number;
}

export interface PaintingMeasured {
  readonly result: PaintingResult;
  /** The painting's lightness on the places of its reference, to be looked at; null where it was not laid on it. */
  readonly laid: Plane | null;
}

/** Samples across the longer side. */
const SAMPLES = 900;
/** Grain is smoothed by this share of the longer side. */
const SMOOTH = 0.0015;
/** The outermost samples: the frame's line, and paper where a hand wavered. */
const RIM = 3;
/** Values are compared on a grid of so many places across: squinted at, brush strokes fuse. */
const GRID = 240;
/** Thin lines and edges are compared on one of so many places across. */
const FINE = 900;
/** Places by which both are softened before their drawing is compared. */
const BLUR = 0.8;
/** What stands further from its place than this, widths, is read where it stands. */
const ASTRAY = 0.006;

/** And what stands further than this has an outline that no part of the painting is judged by. */
const PLAINLY_ASTRAY = 0.0125;
/** A region that lies along the outlines of what stands elsewhere by more than this share is told with that. */
const MOSTLY = 0.5;

/** Every so many of the places say what lies below what: no row is as long. */
const EVERY = 7;

const some = (lightness: Float32Array): Float32Array =>
  Float32Array.from({ length: Math.ceil(lightness.length / EVERY) }, (_, k) => lightness[k * EVERY] as number);

/** Lightness below which 5, 50 and 95 percent lie. */
function percentiles(lightness: Float32Array) {
  const [p5, p50, p95] = quantiles(some(lightness), [0.05, 0.5, 0.95]);
  return { p5, p50, p95 };
}

/** Middle and contrast of a curve, as a straight line through what it makes of the ends and the middle. */
function wholeOf(curve: ValueCurve): NonNullable<PaintingResult['overall']> {
  const [first, last] = [curve[0], curve.at(-1)];
  if (!first || !last) throw new RangeError('A curve has two ends.');
  const offset = curve.reduce((s, p) => s + p.painted - p.target, 0) / curve.length;
  return {
    curve: [...curve],
    offset,
    contrast: (last.painted - first.painted) / Math.max(1e-6, last.target - first.target),
  };
}

/** All but the lightest and the darkest hundredth lie between these. */
function endsOf(lightness: Float32Array): Ends {
  const [dark, light] = quantiles(some(lightness), [0.01, 0.99]);
  return { light, dark };
}

/** In relative mode nothing is known of light and dark: a painting is put where its reference is, and its curve takes the rest. */
const placedAs = (lightness: Float32Array, reference: Plane): ((l: number) => number) =>
  placedBetween(endsOf(lightness), endsOf(reference.data));

/** A map onto what was read, as one onto all that was painted. */
function onWhole([a, b, tx, c, d, ty]: Affine, read: BoxMm, whole: BoxMm): Affine {
  const [wide, tall] = [read.widthMm / whole.widthMm, read.heightMm / whole.heightMm];
  return [a * wide, b * wide, tx * wide, c * tall, d * tall, ty * tall];
}

/** Which places are of some parts. */
function placesOf({ partOf }: Segments, parts: readonly number[]): Uint8Array {
  const own = new Set(parts);
  return Uint8Array.from(partOf, (p) => (own.has(p) ? 1 : 0));
}

/** How much of some places lies on others. */
function shareOf(places: Uint8Array, others: Uint8Array): number {
  let [n, on] = [0, 0];
  places.forEach((p, i) => {
    n += p;
    on += p & (others[i] as number);
  });
  return on / Math.max(1, n);
}

/** What was wanted, with the whole of the painting taken into account, and what was painted, on places so fine that thin lines show. */
function finely(
  reference: Plane,
  painting: Plane,
  map: Affine,
  astray: readonly FoundFeature[],
  coarse: Plane,
  curve: ValueCurve,
) {
  const plain = shrunkTo(reference, FINE, reference);
  const { width, height } = plain;
  const features = astray.map(({ map: own, mask }) => ({ map: own, mask: onGrid(mask, coarse, plain) }));
  return {
    wanted: { ...plain, data: plain.data.map((t) => onCurve(curve, t)) },
    painted: laidWith(painting, map, features, width, height),
  };
}

/** A plane on a grid of so many places across, of another plane's proportion. */
const shrunkTo = (plane: Plane, across: number, like: Plane): Plane =>
  shrunk(plane, Math.min(plane.width, across), Math.min(plane.height, Math.round((across * like.height) / like.width)));

/**
 * Reads a painting against its reference. A photograph that can't be used comes back with `accepted: false` and what to do.
 * Throws BadCorners and WrongCard on what was given beside it.
 */
export async function measurePainting(
  photo: Photo,
  request: PaintingRequest,
  tools: MeasureTools,
): Promise<PaintingMeasured> {
  tools.onStage?.('finding the sheet');
  const { base, issues, found } = await openPainting(photo, request, tools);
  const nothing = (more: readonly CaptureIssue[] = []): PaintingResult => ({
    version: PAINTING_RESULT_VERSION,
    kind: 'painting',
    capture: { ...base, accepted: false, uncertainty: null, issues: [...issues, ...more] },
    step: request.step,
    registration: null,
    overall: null,
    regions: [],
    displacements: [],
    accents: [],
    extents: [],
    shapes: [],
    range: null,
    frame: null,
  });
  if (!found) return { result: nothing(), laid: null };
  tools.onStage?.('reading the steps');
  const { reference } = request;
  const apart = Math.max(found.box.widthMm, found.box.heightMm) / SAMPLES;
  const box = grow(found.box, -RIM * apart);
  const read = lightnessOver(photo, found.calibration, box, apart, SMOOTH * SAMPLES);
  const unpainted = unpaintedIssue(some(read.data));
  if (unpainted) return { result: nothing([unpainted]), laid: null };
  const placed = found.relative ? placedAs(read.data, reference.target) : (l: number) => l;
  const whole = found.relative ? { ...read, data: read.data.map(placed) } : read;
  const { painting, frame } = withoutFrame(whole, reference.target);
  const paintedOn = frame ? box : found.box;
  tools.onStage?.('comparing');
  const { map, likeness } = alignWhole(reference.target, painting);
  const misfit = misfitOf(reference.target, painting, likeness);
  if (misfit) return { result: nothing([misfit]), laid: null };
  const target = shrunkTo(reference.target, GRID, reference.target);
  const ground = {
    reference: localContrast(target, BLUR),
    painting: localContrast(shrunkTo(painting, GRID, reference.target), BLUR),
    whole: map,
  };
  const features = reference.shapes ? namedFeatures(reference.shapes, ground) : unnamedFeatures(target, ground);
  const astray = features.filter(({ told }) => Math.hypot(told.dx, told.dy) > ASTRAY);
  const lies = laidWith(shrunkTo(painting, 2 * GRID, reference.target), map, astray, target.width, target.height);
  const parts = readParts(target, lies);
  const curve = valueCurve(parts.parts, found.relative ? 'camera' : 'painting');
  const fine = finely(reference.target, painting, map, astray, target, curve);
  const rims = rimsOf(
    astray.filter(({ told }) => Math.hypot(told.dx, told.dy) > PLAINLY_ASTRAY),
    map,
    target,
  );
  const regions = regionsOf(parts, curve, request.toleranceSteps * request.step)
    .map((region) => ({ ...region, places: placesOf(parts.cut, region.parts) }))
    .filter(({ places }) => shareOf(places, rims) < MOSTLY);
  return {
    result: {
      ...nothing(),
      capture: { ...base, accepted: !refuses(issues), uncertainty: found.uncertainty(50), issues },
      registration: registrationOf(onWhole(map, box, paintedOn), reference.target.height / reference.target.width),
      overall: wholeOf(curve),
      regions: withIds(
        regions.map(({ parts: _, places, ...r }) => ({
          ...r,
          shape: reference.shapes && nameOfPlaces(reference.shapes, places, target),
          outline: outlineOf((i) => places[i] === 1, r.box, target),
          deltaSteps: r.deltaLightness / request.step,
        })),
      ),
      displacements: withIds(features.map(({ told }) => told)),
      accents: withIds(accentsOf(tools.cv, fine.wanted, fine.painted)),
      extents: reference.shapes ? withIds(extentsOf(reference.shapes, fine.wanted, fine.painted)) : [],
      shapes: reference.shapes ? readShapes(reference.shapes, target, lies, (t) => onCurve(curve, t)) : [],
      range: { student: percentiles(painting.data), reference: percentiles(reference.lightness.data) },
      frame,
    },
    laid: laidOn(painting, map, reference.target.width, reference.target.height, 'edge'),
  };
}
