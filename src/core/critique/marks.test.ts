/** Marks on a picture: kept inside it, and never over what they point at. */
import fc from 'fast-check';
import { drawnMark, MARK_KINDS, MARK_SIZES, type Mark, markSchema, type Place, tidied } from './marks';

const mark = (kind: Mark['kind'], points: [number, number][]): Mark => ({
  ...{ kind, on: 'painting', about: null, words: '' },
  points,
});
const far = (a: Place, b: Place) => Math.hypot(a[0] - b[0], a[1] - b[1]);

test('what lies outside is brought to the edge; what lies there wholly, or is too short, is no mark', () => {
  expect(
    tidied(
      mark('line', [
        [0.5, 0.5],
        [1.4, -2],
      ]),
    )?.points,
  ).toEqual([
    [0.5, 0.5],
    [1, 0],
  ]);
  expect(tidied(mark('pin', [[1.2, 0.5]]))).toBeNull();
  expect(
    tidied(
      mark('arrow', [
        [0.5, 0.5],
        [0.502, 0.5],
      ]),
    ),
  ).toBeNull();
  expect(
    tidied(
      mark('arrow', [
        [0.1, 0.1],
        [0.5, 0.2],
        [0.9, 0.1],
      ]),
    )?.points,
  ).toEqual([
    [0.1, 0.1],
    [0.9, 0.1],
  ]);
  const long = Array.from({ length: 4001 }, (_, k): [number, number] => [k / 4000, 0.5]);
  expect(tidied(mark('outline', long))?.points.length).toBeLessThanOrEqual(402);
});

test('a mark without a place, or with another kind, is refused', () => {
  expect(markSchema.safeParse(mark('pin', [])).success).toBe(false);
  expect(markSchema.safeParse({ ...mark('pin', [[0, 0]]), kind: 'stamp' }).success).toBe(false);
});

const share = fc.double({ min: 0, max: 1, noNaN: true });

test('no stroke of a pin or an arrow comes nearer to what it points at than it should, wherever that is', () => {
  fc.assert(
    fc.property(share, share, share, share, fc.double({ min: 0.2, max: 3, noNaN: true }), (x, y, u, v, tall) => {
      const to: Place = [x, y * tall];
      const pin = drawnMark(mark('pin', [[x, y]]), tall);
      for (const p of pin.strokes.flatMap((s) => s.points))
        expect(far(p, to)).toBeGreaterThanOrEqual(MARK_SIZES.off - 1e-9);
      expect(far(pin.label, to)).toBeGreaterThan(MARK_SIZES.off + MARK_SIZES.head);
      if (far([u, v * tall], to) < 0.1) return;
      const arrow = drawnMark(
        mark('arrow', [
          [u, v],
          [x, y],
        ]),
        tall,
      );
      for (const p of arrow.strokes.flatMap((s) => s.points))
        expect(far(p, to)).toBeGreaterThanOrEqual(MARK_SIZES.off - 1e-9);
    }),
  );
});

test('the head of a pin stays on the picture wherever there is room for it', () => {
  for (const [x, y] of [
    [0.02, 0.02],
    [0.98, 0.98],
    [0.5, 0.01],
    [0.99, 0.4],
    [0.5, 0.5],
  ] as const) {
    const [u, v] = drawnMark(mark('pin', [[x, y]]), 0.8).label;
    expect(u > 0 && u < 1 && v > 0 && v < 0.8).toBe(true);
  }
});

test('every kind has strokes and a number, and an outline is closed', () => {
  for (const kind of MARK_KINDS) {
    const { strokes, label } = drawnMark(
      mark(kind, [
        [0.2, 0.2],
        [0.6, 0.3],
        [0.5, 0.6],
      ]),
      0.75,
    );
    expect(strokes.length).toBeGreaterThan(0);
    expect(label.every(Number.isFinite)).toBe(true);
    expect(strokes.some((s) => s.closed)).toBe(kind === 'outline');
  }
});
