/** Whatever was measured of a painting: all that is told is put in order once, and doing it mends. */
import fc from 'fast-check';
import { ACCENT_KINDS, EXTENT_KINDS, type PaintingResult } from '../../../painting/result';
import { sampleCurve, sampleFeature, samplePainting, sampleRegion, sampleShape } from '../../../painting/sample-result';
import { critiquePainting, orderedCritique, readingOf, tellAll } from '../critique';
import { carriedOut } from './carry-out';

const TOLERANCE = 0.5;
const STEP = 9;
const NAMES = ['jug > lit side', 'jug > shadow', 'egg', 'loaf > shadow', 'wall'] as const;

const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const box = fc.record({ x: number(0, 0.7), y: number(0, 0.7), width: number(0.05, 0.3), height: number(0.05, 0.3) });
const name = fc.constantFrom(...NAMES, null);
const few = <T>(one: fc.Arbitrary<T>, most: number) => fc.array(one, { maxLength: most });
const numbered = <T extends object>(all: readonly T[]) => all.map((one, k) => ({ ...one, id: `${k}.${k}` }));

const painting: fc.Arbitrary<PaintingResult> = fc
  .record({
    steps: fc.tuple(...NAMES.map(() => number(-2.5, 2.5))),
    emphasis: fc.tuple(...NAMES.map(() => number(0.5, 3))),
    parts: few(fc.record({ box, steps: number(-3, 3), area: number(0.005, 0.1), shape: name }), 4),
    moved: few(fc.record({ box, name, dx: number(-0.08, 0.08), dy: number(-0.08, 0.08), slant: number(-9, 9) }), 4),
    extents: few(fc.record({ box, name, by: number(-0.4, 6), kind: fc.constantFrom(...EXTENT_KINDS) }), 3),
    accents: few(
      fc.record({ box, light: fc.boolean(), amount: number(0, 2), kind: fc.constantFrom(...ACCENT_KINDS) }),
      4,
    ),
    curve: fc.record({ dark: number(15, 55), light: number(65, 98) }),
  })
  .map(({ steps, emphasis, parts, moved, extents, accents, curve }) => {
    const residual = (k: number) => (steps[k] ?? 0) * STEP;
    return samplePainting({
      ...sampleCurve(curve.dark, curve.light),
      shapes: NAMES.map((own, k) =>
        sampleShape(own, {
          residual: residual(k),
          deltaLightness: residual(k),
          emphasis: emphasis[k] ?? 1,
          area: 0.06,
        }),
      ),
      regions: numbered([
        ...NAMES.flatMap((shape, k) =>
          Math.abs(steps[k] ?? 0) > TOLERANCE ? [sampleRegion(steps[k] ?? 0, { shape, area: 0.06 })] : [],
        ),
        ...parts.map((p) => sampleRegion(p.steps, p)),
      ]),
      displacements: numbered(moved.map((m) => sampleFeature(m))),
      extents: numbered(extents),
      accents: numbered(accents),
      contrasts: numbered([
        {
          between: ['egg', 'wall'] as [string, string],
          box: { x: 0.2, y: 0.2, width: 0.2, height: 0.1 },
          ...{ chroma: null, hue: null, lightness: { wanted: 10, painted: 10 + residual(2) - residual(4) } },
        },
      ]),
    });
  });

function orderOf(result: PaintingResult) {
  const ordered = orderedCritique(result, TOLERANCE);
  if (!ordered) throw new Error('It was read.');
  return ordered;
}

test('all that is told is told once, done first or cured by what is', () => {
  fc.assert(
    fc.property(painting, (result) => {
      const { told, steps, cured } = orderOf(result);
      const keys = [...steps.map((s) => s.told.key), ...cured.map((t) => t.key)];
      expect(keys.toSorted()).toEqual(
        told
          .filter((t) => t.kind === 'fix')
          .map((t) => t.key)
          .toSorted(),
      );
      expect(steps.flatMap((s) => s.cures.map((t) => t.key)).toSorted()).toEqual(cured.map((t) => t.key).toSorted());
    }),
    { numRuns: 150 },
  );
});

test('the first thing to do takes away more than it brings about, and the same painting is told the same', () => {
  fc.assert(
    fc.property(painting, (result) => {
      const { steps, told } = orderOf(result);
      const [first] = steps;
      if (first && told.some((t) => t.kind === 'fix' && t.weight > 0.1)) expect(first.removes).toBeGreaterThan(0);
      expect(critiquePainting(result, TOLERANCE)).toEqual(critiquePainting(result, TOLERANCE));
    }),
    { numRuns: 150 },
  );
});

test('values that are all brought to where they should be are off nowhere', () => {
  fc.assert(
    fc.property(painting, (result) => {
      const reading = readingOf(result, TOLERANCE);
      if (!reading) return;
      const shifts = [
        ...result.shapes.map((s) => ({ region: null, shape: s.name, by: -(s.residual ?? 0), area: s.area })),
        ...result.regions.map((r) => ({ region: r.id, shape: null, by: -r.residual, area: r.area })),
      ];
      const after = carriedOut(reading, { kind: 'shift', whose: 'both', shifts });
      expect(after.result.regions).toEqual([]);
      expect(tellAll(after).map((t) => t.code)).not.toContain('part_off');
      expect(tellAll(after).map((t) => t.code)).toContain('values_hold');
    }),
    { numRuns: 150 },
  );
});
