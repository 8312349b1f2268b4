import { uprightPhoto } from '../raster/photo';
import { raster } from '../raster/raster';
import type { Calibration, WhitePlace } from './calibration';
import { checkExposure, checkLight } from './check-light';
import { enclosing, explainNotLocated } from './check-photo';
import { GATE, GATE_CODES, issue, refuses } from './gate';

const white = (code: number, clipped = 0, residual: number | null = 0): WhitePlace => ({
  xMm: 0,
  yMm: 0,
  codes: [code, code, code],
  clipped,
  residual,
});
const whites = (n: number, one: WhitePlace) => Array.from({ length: n }, () => one);

test('every code has a limit in a unit, and only what is beyond the card is let through', () => {
  for (const code of GATE_CODES) expect(GATE[code].unit.length).toBeGreaterThan(3);
  expect(GATE_CODES.filter((c) => !GATE[c].refuses)).toEqual(['outside_card']);
  expect(refuses([issue('outside_card', 1, 'x')])).toBe(false);
  expect(refuses([issue('outside_card', 1, 'x'), issue('blur', 2, 'x')])).toBe(true);
  expect(issue('tilt', 33.33333, 'x')).toMatchObject({ value: 33.333, limit: GATE.tilt.limit, box: null });
});

test('exposure is judged from bare paper: too dark, whites lost, or fine', () => {
  const codes = (ws: WhitePlace[]) => checkExposure(ws).map((i) => i.code);
  expect(codes(whites(20, white(GATE.too_dark.limit - 1)))).toEqual(['too_dark']);
  expect(codes(whites(20, white(GATE.too_dark.limit + 1)))).toEqual([]);
  expect(codes([...whites(18, white(230)), ...whites(2, white(255, 1))])).toEqual([]);
  expect(codes([...whites(15, white(230)), ...whites(5, white(255, 1))])).toEqual(['clipped']);
});

/** A calibration whose green channel reads light straight off the code. */
function lit(levels: readonly number[], residual = 0, torn = 0.3): Calibration {
  const curve = {
    table: Float64Array.from({ length: 256 }, (_, c) => c / 255),
    light: new Array<number>(9).fill(0),
    stray: 0,
    darkLightRatio: 1,
  };
  return {
    curves: [curve, curve, curve],
    whites: levels.map((l) => white(l * 255, 0, residual)),
    knownLight: null,
    cardMisfit: (l: number) => (l < 30 ? 0.3 : torn) / 0.9,
  } as unknown as Calibration;
}

test('light that falls off too far, and the edge of a shadow, are told apart', () => {
  const ramp = (low: number) => Array.from({ length: 100 }, (_, i) => low + ((0.9 - low) * i) / 99);
  expect(checkLight(lit(ramp(0.45)), 0.1)).toEqual([]);
  expect(checkLight(lit(ramp(0.2)), 0.1)).toMatchObject([{ code: 'uneven_light', limit: GATE.uneven_light.limit }]);
  expect(checkLight(lit(ramp(0.6), 4), 0.1)[0]?.say).toMatch(/A shadow falls on the sheet/);
  expect(checkLight(lit(ramp(0.6), 0.2, GATE.local_tone.limit + 0.1), 0.1).map((i) => i.code)).toEqual(['local_tone']);
  expect(checkLight(lit(ramp(0.6)), GATE.buckled.limit + 0.1).map((i) => i.code)).toEqual(['buckled']);
});

const photo = (at: (x: number, y: number) => number) => {
  const [w, h] = [300, 200];
  return uprightPhoto(
    raster(
      'srgb8',
      w,
      h,
      3,
      Uint8Array.from({ length: w * h * 3 }, (_, i) => at(Math.floor(i / 3) % w, Math.floor(i / 3 / w))),
    ),
  );
};
const nothing = { kind: 'no-markers' as const, markers: [] };

test('a picture in which no sheet was found says the likeliest reason', () => {
  const sharpEdge = photo((x) => (x < 150 ? 40 : 220));
  expect(explainNotLocated(sharpEdge, nothing).map((i) => i.code)).toEqual(['no_target']);
  expect(
    explainNotLocated(
      photo((x) => 20 + x / 10),
      nothing,
    ).map((i) => i.code),
  ).toEqual(['too_dark']);
  expect(
    explainNotLocated(
      photo((x) => 20 + (200 * x) / 300),
      nothing,
    ).map((i) => i.code),
  ).toEqual(['blur']);
  expect(explainNotLocated(sharpEdge, { kind: 'some-markers', markers: [{ id: 0, corners: [] }] })).toMatchObject([
    { code: 'cut_off', value: 1 },
  ]);
  expect(explainNotLocated(sharpEdge, { kind: 'two-sheets', markers: [] }).map((i) => i.code)).toEqual(['two_sheets']);
});

test('a box round boxes holds them all and no more', () => {
  expect(
    enclosing([
      { x: 0.1, y: 0.2, width: 0.2, height: 0.1 },
      { x: 0.5, y: 0.1, width: 0.1, height: 0.1 },
    ]),
  ).toEqual({
    x: 0.1,
    y: 0.1,
    width: expect.closeTo(0.5, 9) as number,
    height: expect.closeTo(0.2, 9) as number,
  });
});
