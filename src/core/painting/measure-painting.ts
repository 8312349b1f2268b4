/** Measures a painting against its reference: how the whole sits and how light it is, then what single parts are off by. */
import { refuses } from '../capture/gate';
import type { Framing } from '../capture/open-painting';
import type { MeasureTools } from '../capture/tools';
import type { BoxMm } from '../geometry/box';
import { withIds } from '../geometry/place-ids';
import type { Plane } from '../raster/between';
import type { Photo } from '../raster/photo';
import { accentsOf, curvedLines, lined } from './lines/accents';
import { type AccentAsked, accentsOfColour } from './colour/colour-accents';
import { type Affine, AS_IT_IS, registrationOf } from './registration/affine';
import { gapsBetween } from './features/anchor';
import { colourPass } from './colour/colour-pass';
import { contrastsOf } from './shapes/contrasts';
import { channelsOf, type ColourPlanes, labOver } from './colour/colour-planes';
import { type EdgeStretch, edgeStretches, softnessOf } from './shapes/edge-widths';
import { extentsOf } from './shapes/extents';
import type { FormPlane } from './form/form-plane';
import { brokenRules } from './form/rules';
import { type LaidPainting, layPainting } from './lay-painting';
import { readShapes } from './shapes/named-shapes';
import { partsOff } from './parts-off';
import { laidOn } from './values/read-parts';
import { nothingRead, readPainting, type ReadPainting, SMOOTH } from './read-painting';
import { type PaintingReference, percentilesOf } from './reference';
import { rescueOf } from './rescue/changed';
import { massesApart, type StageAsked, stageResult, type StageResult, swappedParts, unevennessOf } from './stage';
import type { PaintingResult } from './result';
import { onCurve, type ValueCurve } from './values/value-curve';
import { lookedAt, shareOfFocus } from './values/whole-picture';
import { withoutFrame } from './registration/without-frame';

export interface PaintingRequest extends Framing, AccentAsked {
  readonly reference: PaintingReference;
  /** What a step of the exercise is, L*. */
  readonly step: number;
  /** Its lightest step, L*. */
  readonly lightest: number;
  /** The stage that it is handed in at, and what the stage before looked like on the reference's places; none unless said. */
  readonly stage?: StageAsked & { readonly before: Plane | null };
  /** Whether the rules of form hold where the reference itself breaks them. */
  readonly ruleWins: boolean;
  /** How many steps a part may be off by. */
  readonly toleranceSteps: number;
}

export interface PaintingMeasured {
  readonly result: PaintingResult;
  /** Its lightness as it was compared; null where it was not. */
  readonly plane: Plane | null;
  /** The painting's lightness on the places of its reference, to be looked at; null where it was not laid on it. */
  readonly laid: Plane | null;
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

/** A map onto what was read, as one onto all that was painted. */
function onWhole([a, b, tx, c, d, ty]: Affine, read: BoxMm, whole: BoxMm): Affine {
  const [wide, tall] = [read.widthMm / whole.widthMm, read.heightMm / whole.heightMm];
  return [a * wide, b * wide, tx * wide, c * tall, d * tall, ty * tall];
}

/** How soft edges are, asked only where shapes have names; `grainy` is what was painted with all its grain, softened by `blur`. */
const edgesIn = (
  { coarse, shapes, numbers, lines }: PaintingReference,
  grainy: () => Plane,
  blur: number,
): EdgeStretch[] =>
  shapes
    ? edgeStretches(
        { width: coarse.width, height: coarse.height, numbers },
        { plane: lines, blur: SMOOTH },
        { plane: grainy(), blur },
      )
    : [];

/** What was wanted and what was painted on the same places, with the shapes that have a name there. */
const formPlaneOf = ({ coarse, numbers, named }: PaintingReference, laid: LaidPainting): FormPlane => ({
  width: coarse.width,
  height: coarse.height,
  numbers,
  wanted: coarse.data,
  painted: laid.coarse.data,
  shapes: named,
});

/** Rules of form that are broken; `lightest` is that of the exercise, null where nothing is known of light and dark. */
function rulesIn(
  reference: PaintingReference,
  laid: LaidPainting,
  edges: readonly EdgeStretch[],
  { step, ruleWins, lightest }: Pick<PaintingRequest, 'step' | 'ruleWins'> & { readonly lightest: number | null },
): PaintingResult['rules'] {
  const { shapes } = reference;
  if (!shapes) return [];
  return withIds(
    brokenRules({
      plane: formPlaneOf(reference, laid),
      step,
      lights: shapes.lights,
      ruleWins,
      edges: edges.flatMap(({ wanted: own, painted: made, ...at }) =>
        own !== null && made !== null ? [{ ...at, wanted: own, painted: made }] : [],
      ),
      lightest,
    }),
  );
}

/** The painting as a whole, beside its reference. */
function wholeBeside({ looked, ends }: PaintingReference, laid: LaidPainting): PaintingResult['whole'] {
  const own = lookedAt(laid.coarse, ends);
  const atFocus = {
    student: shareOfFocus(own, looked.whole.focus.box),
    reference: shareOfFocus(looked, own.whole.focus.box),
  };
  return { student: own.whole, reference: looked.whole, atFocus };
}

/** Named shapes with the colours that they were painted in, where these are known. */
function colouredShapes(
  shapes: PaintingResult['shapes'],
  { named }: PaintingReference,
  colours: ColourPlanes | null,
): PaintingResult['shapes'] {
  if (!colours) return shapes;
  const inside = new Map(named.map((n) => [n.name, n.inside]));
  return shapes.map((shape) => {
    const places = inside.get(shape.name);
    const lab = places ? labOver(colours, places) : null;
    return lab ? { ...shape, a: lab[1], b: lab[2] } : shape;
  });
}

/** What the question of a stage comes to, once the painting lies on its reference. */
const stageOf = (stage: StageAsked, { coarse }: PaintingReference, laid: LaidPainting, step: number): StageResult =>
  stageResult(stage, {
    ...(stage.asks === 'two-masses' && { apart: massesApart(coarse, laid.coarse, step) }),
    ...(stage.asks === 'order' && { swapped: swappedParts(laid.parts, step) }),
  });

/** A stain is compared with nothing: there is no drawing on it yet. */
function stained(
  opened: ReadPainting,
  { plane, uncertainty }: NonNullable<ReadPainting['painting']>,
  { step, reference }: PaintingRequest,
  stage: StageAsked,
): PaintingMeasured {
  const { base, issues } = opened;
  const result: PaintingResult = {
    ...nothingRead(opened, step),
    capture: { ...base, accepted: !refuses(issues), uncertainty: uncertainty(50), issues: [...issues] },
    stage: stageResult(stage, { unevenness: unevennessOf(plane) }),
    range: { student: percentilesOf(plane), reference: reference.percentiles },
  };
  const { width, height } = reference.target;
  return { result, plane, laid: laidOn(plane, AS_IT_IS, width, height, 'edge') };
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
  const { reference, step, stage } = request;
  const opened = await readPainting(photo, request, reference.ends, tools, { mayBeFlat: stage?.asks === 'even' });
  const { base, issues, painting: read } = opened;
  if (!read) return { result: nothingRead(opened, step), plane: null, laid: null };
  if (stage?.asks === 'even') return stained(opened, read, request, stage);
  const { painting, frame, alike } = withoutFrame(read.plane, reference);
  const paintedOn = frame ? read.read : read.box;
  tools.onStage?.('comparing');
  const laid = layPainting(reference, painting, read.relative ? 'camera' : 'painting');
  if ('misfit' in laid) return { result: nothingRead(opened, step, [laid.misfit]), plane: null, laid: null };
  const { map, curve, left, features } = laid;
  const wholly = (target: number) => onCurve(curve, target);
  let grains: Plane | null = null;
  const grainy = () => (grains ??= laid.finely(alike(read.grainy())));
  const edges = edgesIn(reference, grainy, read.blur);
  const displacements = withIds(features.map(({ told }) => told));
  const edgeMm = (number: number) => {
    const widths = softnessOf(edges, number);
    return widths === null || read.relative ? null : widths * paintedOn.widthMm;
  };
  const seen =
    read.colours && (request.coloured || request.accent)
      ? channelsOf(read.colours, (plane) => laid.coarsely(alike(plane)))
      : null;
  const colours = request.coloured ? seen : null;
  const shapes = readShapes(reference.named, reference.coarse, laid.coarse, { onCurve: wholly, left }, edgeMm);
  const { width, height } = reference.target;
  const shown = laidOn(painting, map, width, height, 'edge');
  return {
    result: {
      ...nothingRead(opened, step),
      stage: stage ? stageOf(stage, reference, laid, step) : null,
      rescue: stage?.before && !read.relative ? rescueOf(stage.before, shown, reference.ends) : null,
      capture: { ...base, accepted: !refuses(issues), uncertainty: read.uncertainty(50), issues: [...issues] },
      registration: registrationOf(
        onWhole(map, read.read, paintedOn),
        reference.target.height / reference.target.width,
      ),
      overall: wholeOf(curve),
      // Two masses have no values inside them yet that could be off.
      regions: stage?.asks === 'two-masses' ? [] : partsOff(reference, laid, shapes, request),
      displacements,
      gaps: gapsBetween(displacements, reference.target.height / reference.target.width),
      accents: withIds(
        accentsOf(curvedLines(reference.lines, curve), lined(tools.cv, laid.fine), () => ({
          wanted: laid.wanted,
          painted: grainy(),
        })),
      ),
      extents: reference.shapes ? withIds(extentsOf(reference.shapes, laid.wanted, laid.objects())) : [],
      shapes: colouredShapes(shapes, reference, colours),
      contrasts: contrastsOf(
        formPlaneOf(reference, laid),
        wholly,
        colours && reference.colours && { wanted: reference.colours, painted: colours },
      ),
      colour: colours && reference.colours && colourPass(reference.colours, colours, reference),
      accentsOfColour: accentsOfColour(seen, request.accent),
      rules: rulesIn(reference, laid, edges, { ...request, lightest: read.relative ? null : request.lightest }),
      range: { student: percentilesOf(painting), reference: reference.percentiles },
      whole: wholeBeside(reference, laid),
      frame,
    },
    plane: painting,
    laid: shown,
  };
}
