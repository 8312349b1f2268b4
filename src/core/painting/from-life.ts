/** Measures a painting that has no reference: its masses as somebody showed them, the rules of form, its range and its edges. */
import { refuses } from '../capture/gate';
import type { Framing } from '../capture/open-painting';
import type { MeasureTools } from '../capture/tools';
import type { Ends } from '../exercise/scale';
import { withIds } from '../geometry/place-ids';
import type { Photo } from '../raster/photo';
import type { Plane } from '../raster/between';
import { boxOfPlaces, shareBox } from '../raster/box-of-places';
import { onGrid } from '../raster/on-grid';
import { type AccentAsked, accentsOfColour } from './colour/colour-accents';
import { channelsOf, type ColourPlanes, labOver } from './colour/colour-planes';
import { type EdgeStretch, edgeStretches, softnessOf } from './shapes/edge-widths';
import { type FormShape, formShapes, meanOf } from './form/form-plane';
import { brokenRules } from './form/rules';
import type { ShapePlane } from './shapes/named-shapes';
import { nothingRead, readPainting } from './read-painting';
import { GRID, percentilesOf, shrunkTo } from './reference';
import { rescueOf } from './rescue/changed';
import type { PaintingResult } from './result';
import { type StageAsked, stageResult } from './stage';
import { lookedAt } from './values/whole-picture';

export interface FromLifeRequest extends Framing, AccentAsked {
  /** Masses on the straightened painting, given its lightness; null where nobody showed any. */
  readonly shapesOn: (painting: Plane) => ShapePlane | null;
  /** What the exercise reaches, and what a step of it is, L*. */
  readonly ends: Ends;
  readonly step: number;
  /** The state that it is handed in at, and how the one before looked; none unless said. */
  readonly stage?: StageAsked & { readonly before: Plane | null };
}

/** The painting, and what was read of it. */
export interface FromLifeMeasured {
  readonly result: PaintingResult;
  /** Its lightness, to be looked at; null where it could not be used. */
  readonly plane: Plane | null;
}

function massesIn(
  shapes: readonly FormShape[],
  plane: Plane,
  colours: ColourPlanes | null,
  edgeMm: (number: number) => number | null,
): PaintingResult['shapes'] {
  const { width, height, data } = plane;
  const own = { width, height, numbers: new Uint8Array(0), wanted: data, painted: data, shapes };
  return shapes.flatMap(({ name, part, emphasis = 1, number, places, inside }): PaintingResult['shapes'] => {
    const around = boxOfPlaces(places, width);
    if (!around) return [];
    const lab = colours && labOver(colours, inside);
    return [
      {
        ...{ name, part, emphasis },
        box: shareBox(around, plane),
        area: places.length / data.length,
        lightness: inside.length === 0 ? null : meanOf(own, 'painted', inside),
        target: null,
        deltaLightness: null,
        residual: null,
        a: lab?.[1] ?? null,
        b: lab?.[2] ?? null,
        edgeMm: edgeMm(number),
        gradient: null,
      },
    ];
  });
}

/** Rules hold as they are: there is no reference that could break them itself. */
function rulesIn(
  { lights }: ShapePlane,
  named: readonly FormShape[],
  numbers: Uint8Array,
  { width, height, data }: Plane,
  edges: readonly EdgeStretch[],
  step: number,
  lightest: number | null,
): PaintingResult['rules'] {
  return withIds(
    brokenRules({
      plane: { width, height, numbers, wanted: data, painted: data, shapes: named },
      step,
      lights,
      ruleWins: true,
      fromLife: true,
      edges: edges.flatMap(({ painted, ...at }) => (painted === null ? [] : [{ ...at, painted, wanted: painted }])),
      lightest,
    }),
  );
}

/** What its state asks; what changed is known only where light and dark are. */
function stateOf(
  { stage, ends }: FromLifeRequest,
  plane: Plane,
  relative: boolean,
): Partial<Pick<PaintingResult, 'stage' | 'rescue'>> {
  if (!stage) return {};
  const { before } = stage;
  return { stage: stageResult(stage), rescue: before && !relative ? rescueOf(before, plane, ends) : null };
}

/** Throws BadCorners and WrongCard on what was given beside the photograph. */
export async function measureFromLife(
  photo: Photo,
  request: FromLifeRequest,
  tools: MeasureTools,
): Promise<FromLifeMeasured> {
  const { ends, step } = request;
  const opened = await readPainting(photo, request, ends, tools);
  const { base, issues, painting } = opened;
  if (!painting) return { result: nothingRead(opened, step), plane: null };
  tools.onStage?.('comparing');
  const { plane, box, relative, uncertainty } = painting;
  const seen =
    painting.colours && (request.coloured || request.accent)
      ? channelsOf(painting.colours, (own) => shrunkTo(own, GRID, plane))
      : null;
  const colours = request.coloured ? seen : null;
  const shapes = request.shapesOn(plane);
  const coarse = shrunkTo(plane, GRID, plane);
  const numbers = shapes ? onGrid(shapes.shapeOf, shapes, coarse) : new Uint8Array(coarse.data.length);
  const named = formShapes(numbers, coarse, shapes?.shapes ?? []);
  // With all the grain of the paint: smoothing would have to be taken off again.
  const edges = shapes
    ? edgeStretches({ ...coarse, numbers }, null, { plane: painting.grainy(), blur: painting.blur })
    : [];
  const edgeMm = (number: number) => {
    const widths = softnessOf(edges, number);
    return widths === null || relative ? null : widths * box.widthMm;
  };
  const result: PaintingResult = {
    ...nothingRead(opened, step),
    fromLife: true,
    capture: { ...base, accepted: !refuses(issues), uncertainty: uncertainty(50), issues: [...issues] },
    shapes: massesIn(named, coarse, colours, edgeMm),
    rules: shapes ? rulesIn(shapes, named, numbers, coarse, edges, step, relative ? null : ends.light) : [],
    range: { student: percentilesOf(plane), reference: null },
    whole: { student: lookedAt(coarse, ends).whole, reference: null, atFocus: null },
    accentsOfColour: accentsOfColour(seen, request.accent),
    ...stateOf(request, plane, relative),
  };
  return { result, plane };
}
