/**
 * A measured painting as it would be measured once an action is carried out. Errors, contrasts and displacements are worked out
 * anew from what was measured; the picture is not painted for it.
 */
import { boxesMeet } from '../../../geometry/share-box';
import { objectOf } from '../../../tones/mass';
import type { PaintingReading } from '../facts';
import { ALL_OF_IT, shareOfShape, withoutLooks, withoutOutlines } from '../rules/one-thing-once';
import { drawnWith, isPartOf } from '../rules/drawing';
import type { Shift, Way } from './action';

type Result = PaintingReading['result'];

/** A range that is all but gone is not opened without end. */
const LEAST_RANGE = 0.2;
/** How much lighter each named shape becomes, L* over all of it. */
function shiftsByShape(shifts: readonly Shift[], shapes: Result['shapes']): Map<string, number> {
  const areas = new Map(shapes.map((s) => [s.name, s.area]));
  const by = new Map<string, number>();
  for (const { shape, by: own, area } of shifts) {
    if (shape === null) continue;
    const share = Math.min(1, area / Math.max(1e-9, areas.get(shape) ?? area));
    by.set(shape, (by.get(shape) ?? 0) + own * share);
  }
  return by;
}

/** Where nothing near is off in value now, the eye goes where it was meant to. */
function lookedAt({ whole, regions }: Result): Result['whole'] {
  if (!whole?.atFocus || !whole.reference) return whole;
  const [painted, wanted] = [whole.student.focus.box, whole.reference.focus.box];
  const held = regions.some(({ box }) => boxesMeet(box, painted) || boxesMeet(box, wanted));
  return held ? whole : { ...whole, atFocus: { student: 1, reference: 1 } };
}

function shifted(reading: PaintingReading, shifts: readonly Shift[]): Result {
  const { result, step, tolerance } = reading;
  const limit = tolerance * step;
  const byShape = shiftsByShape(shifts, result.shapes);
  const byRegion = new Map(shifts.flatMap(({ region, by }) => (region === null ? [] : [[region, by] as const])));
  const shapes = result.shapes.map((shape): (typeof result.shapes)[number] => {
    const by = byShape.get(shape.name);
    if (by === undefined || shape.lightness === null) return shape;
    const lighter = (value: number | null) => (value === null ? null : value + by);
    return {
      ...shape,
      lightness: shape.lightness + by,
      deltaLightness: lighter(shape.deltaLightness),
      residual: lighter(shape.residual),
    };
  });
  const inShape = (shape: string | null) =>
    shifts.find((s) => s.region === null && s.shape !== null && s.shape === shape)?.by ?? 0;
  const parts = result.regions
    .map((region) => {
      const by = byRegion.get(region.id) ?? inShape(region.shape);
      const deltaLightness = region.deltaLightness + by;
      return { ...region, residual: region.residual + by, deltaLightness, deltaSteps: deltaLightness / step };
    })
    .filter(({ residual }) => Math.abs(residual) > limit);
  // A shape that is taken away from where it should be is off from then on.
  const astray = shapes.flatMap(({ name, residual, deltaLightness, box, area }): Result['regions'] =>
    byShape.has(name) && Math.abs(residual ?? 0) > limit && !parts.some((p) => p.shape === name)
      ? [
          {
            ...{ id: `shifted ${name}`, shape: name, box, area, outline: [] },
            residual: residual ?? 0,
            deltaLightness: deltaLightness ?? 0,
            deltaSteps: (deltaLightness ?? 0) / step,
          },
        ]
      : [],
  );
  const regions = [...parts, ...astray];
  const contrasts = result.contrasts.map((contrast): (typeof result.contrasts)[number] => {
    const [first, second] = contrast.between;
    const by = (byShape.get(first) ?? 0) - (byShape.get(second) ?? 0);
    const { wanted, painted } = contrast.lightness;
    return by === 0 ? contrast : { ...contrast, lightness: { wanted, painted: painted + by } };
  });
  // The reference keeps every rule that is told: shapes that are as it has them keep it too.
  const off = new Set(regions.map((r) => r.shape));
  const rules = result.rules.filter(
    ({ names }) => !names.some((name) => byShape.has(name)) || names.some((name) => off.has(name)),
  );
  const righted = new Set(shifts.flatMap(({ shape }) => (shape !== null && !off.has(shape) ? [shape] : [])));
  const after = { ...withoutLooks(result, righted), shapes, regions, contrasts, rules };
  return { ...after, whole: lookedAt(after) };
}

/** All of it on one curve: each value is mixed anew, and what a shape is off by beside the others stays. */
function onOneCurve({ result }: PaintingReading): Result {
  const { overall, whole } = result;
  if (!overall) return result;
  const { contrast: kept } = overall;
  const opened = (wanted: number) => wanted / Math.max(LEAST_RANGE, kept);
  return {
    ...result,
    overall: { curve: overall.curve.map(({ target }) => ({ target, painted: target })), offset: 0, contrast: 1 },
    contrasts: result.contrasts.map((c) => {
      const { wanted, painted } = c.lightness;
      return { ...c, lightness: { wanted: opened(wanted), painted: opened(wanted) + painted - wanted } };
    }),
    whole: whole && whole.reference && { ...whole, student: { ...whole.student, thirds: whole.reference.thirds } },
  };
}

function modelled(result: Result, name: string): Result {
  const shapes = result.shapes.map((shape) => {
    const { gradient } = shape;
    if (shape.name !== name || !gradient) return shape;
    const { wanted, across } = gradient;
    return { ...shape, gradient: { wanted, painted: wanted, across: { ...across, painted: across.wanted, off: 0 } } };
  });
  return { ...result, shapes, regions: result.regions.filter((r) => r.shape !== name) };
}

/** A feature where it should be, and its parts and the gaps beside it with it. */
function moved({ result }: PaintingReading, feature: Result['displacements'][number]): Result {
  const displacements = result.displacements.map((own) => {
    if (own.id === feature.id) return { ...own, dx: 0, dy: 0, width: 1, height: 1, slant: 0 };
    if (!isPartOf(own, feature)) return own;
    const along = drawnWith(feature, own);
    return {
      ...own,
      ...{ dx: own.dx - along.dx, dy: own.dy - along.dy, slant: own.slant - feature.slant },
      ...{ width: own.width / feature.width, height: own.height / feature.height },
    };
  });
  const { name } = feature;
  const isBeside = (gap: Result['gaps'][number]) =>
    name !== null && gap.between.some((of) => of === name || objectOf({ name: of }) === name.toLowerCase());
  const gaps = result.gaps.map((gap) => (isBeside(gap) ? { ...gap, painted: gap.wanted } : gap));
  const after = { ...withoutOutlines(result, feature), displacements, gaps };
  return { ...after, whole: lookedAt(after) };
}

/** Light and shadow that meet where they should: of both it is one edge. */
function reaching({ result }: PaintingReading, extent: Result['extents'][number]): Result {
  if (extent.kind === 'detail') {
    const quiet = { ...result, extents: result.extents.filter((e) => e.id !== extent.id) };
    return extent.name === null ? quiet : modelled(withoutLooks(quiet, new Set([extent.name])), extent.name);
  }
  const object = extent.name === null ? null : objectOf({ name: extent.name });
  const isSame = (name: string | null) => object !== null && name !== null && objectOf({ name }) === object;
  return {
    ...result,
    extents: result.extents.filter((e) => e.id !== extent.id && (e.kind === 'detail' || !isSame(e.name))),
    regions: result.regions.filter((r) => !isSame(r.shape) || shareOfShape(r, result) >= ALL_OF_IT),
    displacements: result.displacements.filter((d) => !isSame(d.name) || d.name?.toLowerCase() === object),
  };
}

/** What would be measured of a painting once something was done about it. */
export function carriedOut(reading: PaintingReading, way: Way): PaintingReading {
  const { result } = reading;
  switch (way.kind) {
    case 'shift':
      return { ...reading, result: shifted(reading, way.shifts) };
    case 'curve':
      return { ...reading, result: onOneCurve(reading) };
    case 'model':
      return { ...reading, result: modelled(result, way.shape) };
    case 'move':
      return { ...reading, result: moved(reading, way.feature) };
    case 'reach':
      return { ...reading, result: reaching(reading, way.extent) };
    case 'line':
      return { ...reading, result: { ...result, accents: result.accents.filter((a) => a.id !== way.line.id) } };
    case 'form':
      return { ...reading, result: { ...result, rules: result.rules.filter((r) => r.id !== way.rule) } };
    case 'only':
      return reading;
  }
}
