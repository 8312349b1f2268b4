/** Measures a painting against its reference: how the whole sits and how light it is, then what single parts are off by. */
import { placedBetween } from '../capture/between-ends';
import { type CaptureIssue, refuses } from '../capture/gate';
import { lightnessOver } from '../capture/lightness-over';
import { type Framing, openPainting } from '../capture/open-painting';
import type { MeasureTools } from '../capture/tools';
import { type BoxMm, grow } from '../geometry/box';
import { withIds } from '../geometry/place-ids';
import type { ShareBox } from '../geometry/share-box';
import type { Plane } from '../raster/between';
import { onGrid } from '../raster/on-grid';
import { outlineOf } from '../raster/outline';
import type { Photo } from '../raster/photo';
import { maskOf, placesOfNumbers } from '../raster/zone';
import { accentsOf, curvedLines, lined } from './accents';
import { type Affine, registrationOf } from './affine';
import { sloped } from './align';
import { alignWhole } from './align-whole';
import { extentsOf } from './extents';
import { type FoundFeature, namedFeatures, rimsOf, unnamedFeatures } from './features';
import { localContrast } from './local-contrast';
import { misfitOf, unpaintedIssue } from './misfit';
import { nameOfPlaces, readShapes } from './named-shapes';
import { laidOn, laidWith, readParts } from './read-parts';
import { BLUR, endsOf, GRID, type PaintingReference, percentilesOf, shrunkTo, someOf } from './reference';
import { regionsOf } from './regions';
import { PAINTING_RESULT_VERSION, type PaintingResult } from './result';
import { curved, onCurve, type ValueCurve, valueCurve } from './value-curve';
import { withoutFrame } from './without-frame';

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
const SAMPLES = 640;
/** Grain is smoothed by this share of the longer side. */
const SMOOTH = 0.0015;
/** The outermost samples: the frame's line, and paper where a hand wavered. */
const RIM = 3;
/** What stands further from its place than this, widths, is read where it stands. */
const ASTRAY = 0.006;

/** And what stands further than this has an outline that no part of the painting is judged by. */
const PLAINLY_ASTRAY = 0.0125;
/** A region that lies along the outlines of what stands elsewhere by more than this share is told with that. */
const MOSTLY = 0.5;

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

/** In relative mode nothing is known of light and dark: a painting is put where its reference is, and its curve takes the rest. */
const placedAs = (painting: Plane, { ends }: PaintingReference): ((l: number) => number) =>
  placedBetween(endsOf(painting), ends);

/** A map onto what was read, as one onto all that was painted. */
function onWhole([a, b, tx, c, d, ty]: Affine, read: BoxMm, whole: BoxMm): Affine {
  const [wide, tall] = [read.widthMm / whole.widthMm, read.heightMm / whole.heightMm];
  return [a * wide, b * wide, tx * wide, c * tall, d * tall, ty * tall];
}

/** Which places are of some parts, each of which is a list of places. */
const placesOf = (places: readonly Int32Array[], parts: readonly number[]): Int32Array =>
  Int32Array.from(parts.flatMap((part) => [...(places[part] as Int32Array)])).sort();

function outlineIn(places: Int32Array, box: ShareBox, grid: Plane): [number, number][][] {
  const mask = maskOf(places, grid.data.length);
  return outlineOf((i) => mask[i] === 1, box, grid);
}

/** How many of some places are marked, as a share. */
const shareOf = (places: Int32Array, marked: Uint8Array): number =>
  places.reduce((s, i) => s + (marked[i] as number), 0) / Math.max(1, places.length);

/** What was painted on places so fine that thin lines show; where nothing was, it is as it should be. */
function finely(
  { fine, coarse }: PaintingReference,
  painting: Plane,
  map: Affine,
  astray: readonly FoundFeature[],
  wanted: Float32Array,
): Plane {
  const { width, height } = fine;
  const features = astray.map(({ map: own, places }) => ({
    map: own,
    mask: onGrid(maskOf(places, coarse.data.length), coarse, fine),
  }));
  const { data } = laidWith(painting, map, features, width, height);
  for (let i = 0; i < data.length; i++) if (Number.isNaN(data[i])) data[i] = wanted[i] as number;
  return { width, height, data };
}

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
  const unpainted = unpaintedIssue(someOf(read));
  if (unpainted) return { result: nothing([unpainted]), laid: null };
  const placed = found.relative ? placedAs(read, reference) : (l: number) => l;
  const whole = found.relative ? { ...read, data: read.data.map(placed) } : read;
  const { painting, frame } = withoutFrame(whole, reference);
  const paintedOn = frame ? box : found.box;
  tools.onStage?.('comparing');
  const { map, likeness } = alignWhole(reference.sizes, painting);
  const misfit = misfitOf(reference.sizes.rough, painting, likeness);
  if (misfit) return { result: nothing([misfit]), laid: null };
  const { coarse, shapes } = reference;
  const twice = shrunkTo(painting, 2 * GRID, reference.target);
  const ground = {
    reference: reference.contrast,
    painting: sloped(localContrast(shrunkTo(twice, GRID, reference.target), BLUR)),
    values: { reference: reference.lines, painting },
    whole: map,
  };
  const features = shapes
    ? namedFeatures(shapes.shapes, reference.named, ground)
    : unnamedFeatures(reference.candidates, ground);
  const astray = features.filter(({ told }) => Math.hypot(told.dx, told.dy) > ASTRAY);
  const masked = astray.map(({ map: own, places }) => ({ map: own, mask: maskOf(places, coarse.data.length) }));
  const lies = laidWith(twice, map, masked, coarse.width, coarse.height);
  const parts = readParts(coarse, lies);
  const curve = valueCurve(parts.parts, found.relative ? 'camera' : 'painting');
  const wanted = { ...reference.fine, data: curved(curve, reference.fine.data) };
  const painted = finely(reference, painting, map, astray, wanted.data);
  const rims = rimsOf(
    astray.filter(({ told }) => Math.hypot(told.dx, told.dy) > PLAINLY_ASTRAY),
    map,
    coarse,
  );
  const placesOfParts = placesOfNumbers(parts.cut.partOf, 0, parts.cut.count);
  const regions = regionsOf(parts, curve, request.toleranceSteps * request.step)
    .map((region) => ({ ...region, places: placesOf(placesOfParts, region.parts) }))
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
          shape: shapes && nameOfPlaces(shapes, places, coarse),
          outline: outlineIn(places, r.box, coarse),
          deltaSteps: r.deltaLightness / request.step,
        })),
      ),
      displacements: withIds(features.map(({ told }) => told)),
      accents: withIds(accentsOf(curvedLines(reference.lines, curve), lined(tools.cv, painted))),
      extents: shapes ? withIds(extentsOf(shapes, wanted, painted)) : [],
      shapes: shapes ? readShapes(shapes.shapes, reference.named, coarse, lies, (t) => onCurve(curve, t)) : [],
      range: { student: percentilesOf(painting), reference: reference.percentiles },
      frame,
    },
    laid: laidOn(painting, map, reference.target.width, reference.target.height, 'edge'),
  };
}
