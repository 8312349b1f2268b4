import fc from 'fast-check';
import { leftBeside, onCurve, type PaintedPart, valueCurve } from './value-curve';

const targets = Array.from({ length: 20 }, (_, k) => 22 + 3.8 * k);
const painted = (of: (target: number) => number): PaintedPart[] =>
  targets.map((target) => ({ target, painted: of(target), area: 0.05 }));

test('a faithful painting has the plainest curve there is', () => {
  for (const { target, painted: own } of valueCurve(painted((t) => t))) expect(own).toBeCloseTo(target, 3);
});

test('the whole too dark, or its darks lifted, is what the curve says', () => {
  const dark = valueCurve(painted((t) => t - 8));
  for (const { target, painted: own } of dark) expect(own - target).toBeCloseTo(-8, 0);
  const lifted = valueCurve(painted((t) => Math.max(t, 30 + 0.4 * t)));
  expect(onCurve(lifted, 24) - 24).toBeGreaterThan(10);
  expect(Math.abs(onCurve(lifted, 90) - 90)).toBeLessThan(2.5);
});

test('a fourth of the parts mistaken by twelve hardly moves it', () => {
  fc.assert(
    fc.property(fc.shuffledSubarray(targets, { minLength: 1, maxLength: 5 }), fc.constantFrom(-12, 12), (off, by) => {
      const curve = valueCurve(painted((t) => t + (off.includes(t) ? by : 0)));
      for (const t of targets) expect(Math.abs(onCurve(curve, t) - t)).toBeLessThan(3);
    }),
    { numRuns: 300 },
  );
});

test('all of its darks, or of its lights, mistaken alike are those parts, and no curve', () => {
  for (const by of [-12, 12])
    for (const off of [targets.slice(0, 4), targets.slice(0, 5), targets.slice(-5)]) {
      const curve = valueCurve(painted((t) => t + (off.includes(t) ? by : 0)));
      for (const t of targets) expect(Math.abs(onCurve(curve, t) - t)).toBeLessThan(3);
    }
});

test('a curve never falls, and beyond its ends it goes on as it came', () => {
  fc.assert(
    fc.property(fc.array(fc.double({ min: 0, max: 100, noNaN: true }), { minLength: 20, maxLength: 20 }), (all) => {
      const curve = valueCurve(targets.map((target, k) => ({ target, painted: all[k] as number, area: 0.05 })));
      curve.slice(1).forEach((p, k) => expect(p.painted).toBeGreaterThan(curve[k]?.painted ?? Infinity));
      const [first, second] = [curve[0]!, curve[1]!];
      const slope = (second.painted - first.painted) / (second.target - first.target);
      expect(onCurve(curve, first.target - 10)).toBeCloseTo(first.painted - 10 * slope, 6);
    }),
  );
});

test('a camera that halves all contrasts takes nothing off a fault; halved by a painter it is as large as it looks', () => {
  const [by, off] = [12, 10];
  const halved = (target: number) => 35 + 0.5 * target;
  const parts = painted((t) => halved(t + (t === targets[off] ? by : 0)));
  for (const [takes, left] of [
    ['camera', by],
    ['painting', 0.5 * by],
  ] as const) {
    const beside = parts.map(leftBeside(valueCurve(parts, takes), takes));
    beside.forEach((own, k) => expect(own).toBeCloseTo(k === off ? left : 0, 0));
  }
});

test('nothing painted has no curve', () => {
  expect(() => valueCurve([])).toThrow(/needs a part/);
});
