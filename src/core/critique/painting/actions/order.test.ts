/** What is done first: tried out on measured numbers, without a picture. */
import { sampleCurve, sampleFeature, samplePainting, sampleRegion, sampleShape } from '../../../painting/sample-result';
import type { PaintingResult } from '../../../painting/result';
import { critiquePainting, orderedCritique, readingOf, tellAll } from '../critique';
import { candidatesFor } from './candidates';
import { carriedOut } from './carry-out';
import { totalError } from './order';

const TOLERANCE = 0.5;
const STEP = 9;

function orderOf(more: Partial<PaintingResult>) {
  const ordered = orderedCritique(samplePainting(more), TOLERANCE);
  if (!ordered) throw new Error('It was read.');
  return ordered;
}
const said = (more: Partial<PaintingResult>) =>
  critiquePainting(samplePainting(more), TOLERANCE).filter((f) => f.kind === 'fix');

/** A named shape that is off by so many steps all over, and the part of it that is told. */
const off = (name: string, steps: number, area = 0.04) => ({
  shape: sampleShape(name, { residual: steps * STEP, deltaLightness: steps * STEP, area }),
  region: sampleRegion(steps, { id: name, shape: name, area }),
});

test('carrying out an action takes away what it was asked for, and what is amiss grows by nothing', () => {
  const [cup, table] = [off('cup', 1.4), off('table', -0.9, 0.1)];
  const { reading, steps } = orderOf({ regions: [cup.region, table.region], shapes: [cup.shape, table.shape] });
  let now = reading;
  for (const { action, removes } of steps) {
    const before = totalError(tellAll, now);
    now = carriedOut(now, action.way);
    expect(totalError(tellAll, now)).toBeCloseTo(before - removes, 9);
  }
  expect(totalError(tellAll, now)).toBe(0);
});

test('two shapes of one object that are off alike are mended together, and that is said', () => {
  const parts = [off('loaf > lit side', 1), off('loaf > shadow', 0.9)];
  const fixes = said({ regions: parts.map((p) => p.region), shapes: parts.map((p) => p.shape) });
  expect(fixes).toHaveLength(2);
  expect(fixes[0]?.do).toBe(
    'Bring all of the loaf down by a whole step, its parts together. This brings the shadow of the loaf into line too.',
  );
  expect(fixes[0]?.evidence.removes).toBeCloseTo(0.18, 2);
  // Cured by the first, it comes last and says nothing of its own action.
  expect(fixes[1]?.evidence).not.toHaveProperty('removes');
});

test('shadows that have gone astray alike on several things are one thing to do', () => {
  const shadows = ['jug > shadow', 'egg > shadow', 'loaf > shadow'].map((name) => off(name, 1));
  const [first] = said({
    regions: shadows.map((s) => s.region),
    shapes: shadows.map(({ shape }) => ({ ...shape, part: 'shadow' })),
  });
  expect(first?.do).toMatch(/^Bring the shadow of the jug, the shadow of the egg and the shadow of the loaf down/);
});

test('where the neighbour is the one that is off, it is the neighbour that is mended', () => {
  const shapes = [sampleShape('cup', { residual: 0.4 }), sampleShape('wall', { residual: -0.49 * STEP, area: 0.2 })];
  const contrast = {
    ...{ id: 'c', between: ['cup', 'wall'] as [string, string], chroma: null, hue: null },
    box: { x: 0.1, y: 0.1, width: 0.4, height: 0.3 },
    lightness: { wanted: 4, painted: 4 + 0.4 + 0.75 * STEP },
  };
  const [first] = said({ shapes, contrasts: [contrast] });
  expect(first?.code).toBe('contrast_off');
  expect(first?.do).toBe('Leave it, and bring the wall up by half a step instead.');
});

test('a thing that moved takes its gap and its parts back with it', () => {
  const jug = sampleFeature({ name: 'jug', id: 'jug', dx: 0.05 });
  const lit = sampleFeature({ name: 'jug > lit side', id: 'lit', dx: 0.062 });
  const gap = {
    between: ['jug', 'egg'] as [string, string],
    way: 'across' as const,
    ...{ wanted: 0.08, painted: 0.02, box: jug.box },
  };
  const { steps, cured } = orderOf({ displacements: [jug, lit], gaps: [gap] });
  expect(steps[0]?.told.code).toBe('feature_moved');
  expect(steps[0]?.action.way).toMatchObject({ kind: 'move', feature: { name: 'jug' } });
  expect(cured.map((t) => t.code)).toContain('gap_off');
});

test('of two that take away as much, the larger one comes first', () => {
  const large = sampleRegion(-(TOLERANCE + 0.5), { id: 'large', area: 0.16 });
  const small = sampleRegion(-(TOLERANCE + 1), { id: 'small', area: 0.04 });
  const { steps } = orderOf({ regions: [large, small] });
  expect(steps.map((s) => [s.told.subject, s.removes.toFixed(2)])).toMatchObject([
    [{ id: 'large' }, '0.20'],
    [{ id: 'small' }, '0.20'],
  ]);
});

test('a range that is short is opened for all of it at once, and single shapes are still told beside it', () => {
  const { steps } = orderOf({ ...sampleCurve(50, 96), regions: [sampleRegion(1.2)] });
  expect(steps.map((s) => [s.told.code, s.action.way.kind])).toEqual([
    ['range_short', 'curve'],
    ['part_off', 'shift'],
  ]);
});

test('an action that would take a shape away from where it should be is seen to do so', () => {
  const reading = readingOf(samplePainting({ shapes: [sampleShape('cup')] }), TOLERANCE);
  if (!reading) throw new Error('It was read.');
  const shifts = [{ region: null, shape: 'cup', by: 2 * STEP, area: 0.04 }];
  const after = carriedOut(reading, { kind: 'shift', whose: 'own', shifts });
  expect(tellAll(reading).map((t) => t.code)).toContain('values_hold');
  expect(tellAll(after).map((t) => t.code)).not.toContain('values_hold');
  expect(totalError(tellAll, after)).toBeGreaterThan(0);
});

test('what cannot be tried out cures itself alone', () => {
  const { steps, reading, told } = orderOf({
    registration: { shift: { x: 0.05, y: 0 }, scale: { x: 1, y: 1 }, rotation: 3, shear: 0 },
  });
  const fix = told.find((t) => t.kind === 'fix');
  expect(fix && candidatesFor(fix, reading)).toMatchObject([{ way: { kind: 'only' } }]);
  expect(steps.map((s) => s.cures)).toEqual([[], []]);
});

test('what a teacher weighs more comes sooner', () => {
  const [cup, wall] = [off('cup', 1), off('wall', 1.2)];
  const order = (emphasis: number) =>
    said({ regions: [cup.region, wall.region], shapes: [{ ...cup.shape, emphasis }, wall.shape] }).map(
      (f) => f.where.shape,
    );
  expect(order(1)).toEqual(['wall', 'cup']);
  expect(order(3)).toEqual(['cup', 'wall']);
});
