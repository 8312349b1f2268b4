/** What could be done about what was told: for each finding, one or several ways, to be tried out. */
import { boxArea } from '../../../geometry/share-box';
import { objectOf } from '../../../tones/mass';
import type { Told } from '../../rule';
import type { MassRead, PaintingFacts, PaintingReading } from '../facts';
import type { Action, Shift, Way, Whose } from './action';

type Result = PaintingReading['result'];
type Asked = readonly { readonly way: Way; readonly area: number }[];
/** Ways for one code; of those that have none here only what is said of them is cured. */
type WaysOf = { readonly [C in keyof PaintingFacts]?: (facts: PaintingFacts[C], reading: PaintingReading) => Asked };

/** Others are taken along where they are off the same way by so much of the tolerance. */
const ALONG = 0.5;
/** What moves leaves a hole that is painted too. */
const MOVED_AREA = 2;
/** Of a shape that grows or shrinks, this much is painted over; and of one whose edge or line is restated. */
const [EDGE_AREA, LINE_AREA] = [0.25, 0.005];
const WHOLE = 1;

const areaOf = (shifts: readonly Shift[]) => shifts.reduce((s, { area }) => s + area, 0);

const shift = (whose: Whose, shifts: readonly Shift[]): Asked =>
  shifts.length === 0 ? [] : [{ way: { kind: 'shift', whose, shifts }, area: areaOf(shifts) }];

/** Every part of some shapes that is off, brought to where it should be; shapes without one are brought there as a whole. */
function toTarget({ regions }: Result, shapes: readonly MassRead[], sign: number): Shift[] {
  return shapes.flatMap(({ name, residual, area }): Shift[] => {
    const parts = regions.filter((r) => r.shape === name && Math.sign(r.residual) === sign);
    if (parts.length > 0) return parts.map((r) => ({ region: r.id, shape: name, by: -r.residual, area: r.area }));
    return residual ? [{ region: null, shape: name, by: -residual, area }] : [];
  });
}

/** Shapes that are off the same way as one, by enough to be taken along. */
const offAlike = ({ result: { shapes }, step, tolerance }: PaintingReading, sign: number): MassRead[] =>
  shapes.filter(({ residual }) => residual !== null && sign * residual > ALONG * tolerance * step);

function partWays({ part }: PaintingFacts['part_off'], reading: PaintingReading): Asked {
  const { result } = reading;
  const sign = Math.sign(part.residual);
  const own = result.regions.filter(
    (r) => r.id === part.id || (part.shape !== null && r.shape === part.shape && Math.sign(r.residual) === sign),
  );
  const alone = shift(
    'own',
    own.map((r) => ({ region: r.id, shape: r.shape, by: -r.residual, area: r.area })),
  );
  const shape = result.shapes.find((s) => s.name === part.shape);
  if (!shape) return alone;
  const alike = offAlike(reading, sign);
  const family = (whose: Whose, isOne: (other: MassRead) => boolean): Asked => {
    const others = alike.filter((other) => other.name !== shape.name && isOne(other));
    return others.length === 0 ? [] : shift(whose, toTarget(result, [shape, ...others], sign));
  };
  return [
    ...alone,
    ...family('object', (other) => objectOf(other) === objectOf(shape)),
    ...family('light', (other) => shape.part !== null && other.part === shape.part),
  ];
}

/** Of two that stand out of each other too much or too little each may be mended, or both. */
function contrastWays({ contrast, instead }: PaintingFacts['contrast_off'], { result }: PaintingReading): Asked {
  if (instead !== null) return [];
  const [first, second] = contrast.between.map((name) => result.shapes.find((s) => s.name === name));
  if (!first?.residual || !second?.residual) return [];
  const bring = (...shapes: readonly MassRead[]): Shift[] =>
    shapes.map(({ name, residual, area }) => ({ region: null, shape: name, by: -(residual ?? 0), area }));
  // The first of the two is the one that is spoken of.
  return [...shift('own', bring(first)), ...shift('neighbour', bring(second)), ...shift('both', bring(first, second))];
}

/** Rules that are about values are kept where all their shapes are as light as they should be. */
function formWays({ rule }: PaintingFacts['form_broken'], reading: PaintingReading): Asked {
  const { result, step, tolerance } = reading;
  const named = result.shapes.filter(({ name }) => rule.names.includes(name));
  const off = named.filter(({ residual }) => Math.abs(residual ?? 0) > ALONG * tolerance * step);
  const alone = { way: { kind: 'form', rule: rule.id } as const, area: EDGE_AREA * boxArea(rule.box) };
  return [
    ...shift(
      'own',
      off.flatMap((shape) => toTarget(result, [shape], Math.sign(shape.residual ?? 0))),
    ),
    alone,
  ];
}

const wholly = (): Asked => [{ way: { kind: 'curve' }, area: WHOLE }];

const gapWays = ({ gap }: PaintingFacts['gap_off'], { result }: PaintingReading): Asked =>
  result.displacements
    .filter(({ name }) => name !== null && gap.between.includes(name))
    .map((feature) => ({ way: { kind: 'move', feature }, area: MOVED_AREA * boxArea(feature.box) }));

const WAYS: WaysOf = {
  part_off: partWays,
  contrast_off: contrastWays,
  form_broken: formWays,
  gap_off: gapWays,
  range_short: wholly,
  range_stretched: wholly,
  all_lighter: wholly,
  all_darker: wholly,
  middle_crowded: wholly,
  gradient_off: ({ shape }) => [{ way: { kind: 'model', shape: shape.name }, area: shape.area }],
  feature_moved: ({ moved }) => [
    { way: { kind: 'move', feature: moved }, area: Math.min(WHOLE, MOVED_AREA * boxArea(moved.box)) },
  ],
  extent_off: ({ extent }) => [
    { way: { kind: 'reach', extent }, area: (extent.kind === 'detail' ? 1 : EDGE_AREA) * boxArea(extent.box) },
  ],
  line_off: ({ line }) => [{ way: { kind: 'line', line }, area: LINE_AREA }],
};

/** All that could be done about one thing that was told. What has no way of its own may be done and cures itself alone. */
export function candidatesFor<C extends keyof PaintingFacts>(
  { key, code, facts }: Told<PaintingFacts, C>,
  reading: PaintingReading,
): Action[] {
  const ways = WAYS[code]?.(facts, reading) ?? [];
  const asked: Asked = ways.length > 0 ? ways : [{ way: { kind: 'only' }, area: WHOLE }];
  return asked.map((own) => ({ asks: key, ...own }));
}
