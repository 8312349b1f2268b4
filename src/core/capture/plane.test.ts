import fc from 'fast-check';
import { leastSquares } from '../fitting/least-squares';
import { uprightPhoto } from '../raster/photo';
import { raster } from '../raster/raster';
import { boxProbes, findEdge } from './edges';
import { type Plane, planeFromPoints, refinePlane, resolutionAt, scaleAt, tiltDegrees, toPhoto } from './plane';
import { meanCodes, sampleBox } from './sample';

const straight: Plane = {
  photoWidth: 3000,
  photoHeight: 4000,
  h: [12, 0.3, 200, -0.2, 11.5, 250, 2e-5, -1e-5],
  lens: [0, 0],
};
const corners = [
  [0, 0],
  [210, 0],
  [210, 297],
  [0, 297],
] as const;
const seen = (plane: Plane) => corners.map(([x, y]) => ({ mm: { x, y }, photo: toPhoto(plane, x, y) }));

/** A sheet in space seen through a pinhole, by its rotation and place, with a lens that bends: what a camera makes of it, worked out here. */
function pinhole(lens: readonly [number, number] = [0, 0]) {
  const [cx, cy, focal] = [1500, 2000, 3600];
  const [tilt, turn, roll] = [0.32, -0.21, 0.08];
  const rows = [
    [
      Math.cos(roll) * Math.cos(turn),
      -Math.sin(roll) * Math.cos(tilt) + Math.cos(roll) * Math.sin(turn) * Math.sin(tilt),
    ],
    [
      Math.sin(roll) * Math.cos(turn),
      Math.cos(roll) * Math.cos(tilt) + Math.sin(roll) * Math.sin(turn) * Math.sin(tilt),
    ],
    [-Math.sin(turn), Math.cos(turn) * Math.sin(tilt)],
  ] as const;
  return (xMm: number, yMm: number) => {
    const [px, py] = [xMm - 105, yMm - 148];
    const [x, y, z] = rows.map(([a, b]) => a * px + b * py) as [number, number, number];
    const [u, v] = [x / (z + 340), y / (z + 340)];
    const r2 = u * u + v * v;
    const bent = 1 + lens[0] * r2 + lens[1] * r2 * r2;
    return { x: cx + focal * bent * u, y: cy + focal * bent * v };
  };
}
const grid = Array.from({ length: 80 }, (_, i) => ({ x: 8 + ((i * 37) % 195), y: 8 + ((i * 53) % 281) }));

test('a sheet seen through a pinhole lies where its corners say, to a hundredth of a pixel', () => {
  const camera = pinhole();
  const found = planeFromPoints(
    corners.map(([x, y]) => ({ mm: { x, y }, photo: camera(x, y) })),
    3000,
    4000,
  );
  for (const { x, y } of grid) {
    const [at, truth] = [toPhoto(found, x, y), camera(x, y)];
    expect(Math.hypot(at.x - truth.x, at.y - truth.y)).toBeLessThan(0.01);
  }
});

test('edges along the sheet give back a lens that bends, to half a pixel', () => {
  const camera = pinhole([0.09, -0.06]);
  const flat = planeFromPoints(
    corners.map(([x, y]) => ({ mm: { x, y }, photo: camera(x, y) })),
    3000,
    4000,
  );
  const fixes = grid.map((mm, i) => ({
    mm,
    photo: camera(mm.x, mm.y),
    normal: i % 2 ? { x: 1, y: 0 } : { x: 0, y: 1 },
  }));
  const off = (plane: Plane) =>
    Math.max(
      ...grid.map(({ x, y }) =>
        Math.hypot(toPhoto(plane, x, y).x - camera(x, y).x, toPhoto(plane, x, y).y - camera(x, y).y),
      ),
    );
  expect(off(flat)).toBeGreaterThan(2);
  expect(off(refinePlane(flat, fixes, true))).toBeLessThan(0.6);
});

test('four corners give back the plane that they were seen on', () => {
  const found = planeFromPoints(seen(straight), 3000, 4000);
  straight.h.forEach((v, i) => expect(found.h[i]).toBeCloseTo(v, 6));
  expect(() => planeFromPoints(seen(straight).slice(0, 3), 3000, 4000)).toThrow(RangeError);
});

test('edges along the sheet give back a bent lens', () => {
  const bent: Plane = { ...straight, lens: [0.02, -0.005] };
  const fixes = Array.from({ length: 60 }, (_, i) => {
    const mm = { x: 10 + ((i * 37) % 190), y: 10 + ((i * 53) % 277) };
    return { mm, photo: toPhoto(bent, mm.x, mm.y), normal: i % 2 ? { x: 1, y: 0 } : { x: 0, y: 1 } };
  });
  const found = refinePlane(planeFromPoints(seen(bent), 3000, 4000), fixes, true);
  for (const { mm, photo } of fixes) {
    const at = toPhoto(found, mm.x, mm.y);
    expect(Math.hypot(at.x - photo.x, at.y - photo.y)).toBeLessThan(0.6);
  }
});

test('tilt and resolution of a sheet seen from above and aslant', () => {
  const above: Plane = { ...straight, h: [10, 0, 500, 0, 10, 500, 0, 0] };
  expect(tiltDegrees(above, 105, 148)).toBeCloseTo(0, 3);
  expect(resolutionAt(above, 105, 148)).toBeCloseTo(10, 6);
  expect(scaleAt(above, 50, 50)).toEqual([
    expect.closeTo(10, 6),
    expect.closeTo(0, 6),
    expect.closeTo(0, 6),
    expect.closeTo(10, 6),
  ]);
  const aslant: Plane = { ...straight, h: [10, 0, 500, 0, 10 * Math.cos(Math.PI / 6), 500, 0, 0] };
  expect(tiltDegrees(aslant, 105, 148)).toBeCloseTo(30, 3);
});

/** Black to the left of an edge that lies between pixels, blurred as a lens blurs. */
function edgeAt(x: number) {
  const [w, h] = [60, 20];
  const codes = new Uint8Array(w * h * 3);
  for (let r = 0; r < h; r++)
    for (let c = 0; c < w; c++) {
      const t = (c + 0.5 - x) / 1.4;
      codes.fill(Math.round(20 + 200 / (1 + Math.exp(-2.2 * t))), (r * w + c) * 3, (r * w + c) * 3 + 3);
    }
  return uprightPhoto(raster('srgb8', w, h, 3, codes));
}

test('an edge is found to a tenth of a pixel', () => {
  const plane: Plane = { photoWidth: 60, photoHeight: 20, h: [1, 0, 0, 0, 1, 0, 0, 0], lens: [0, 0] };
  fc.assert(
    fc.property(fc.double({ min: 27, max: 33, noNaN: true }), (x) => {
      const edge = findEdge(edgeAt(x), plane, { xMm: 30, yMm: 10, nx: 1, ny: 0, reachMm: 20 }, 12);
      expect(Math.abs((edge?.photo.x ?? 0) - x)).toBeLessThan(0.1);
    }),
  );
  const flat = uprightPhoto(raster('srgb8', 60, 20, 3, new Uint8Array(3600).fill(128)));
  expect(findEdge(flat, plane, { xMm: 30, yMm: 10, nx: 1, ny: 0, reachMm: 20 }, 12)).toBeNull();
});

test('probes stand on the sides of a box and point from dark to light', () => {
  const probes = boxProbes({ xMm: 10, yMm: 20, widthMm: 14, heightMm: 14 }, 3, 2);
  expect(probes).toHaveLength(12);
  for (const p of probes) {
    const outside = { x: p.xMm + p.nx, y: p.yMm + p.ny };
    expect(outside.x < 10 || outside.x > 24 || outside.y < 20 || outside.y > 34).toBe(true);
  }
});

test('samples lie at the centres of equal parts, and none is made up outside the photograph', () => {
  const plane: Plane = { photoWidth: 10, photoHeight: 10, h: [1, 0, 0, 0, 1, 0, 0, 0], lens: [0, 0] };
  const ramp = Uint8Array.from({ length: 300 }, (_, i) => 20 * (Math.floor(i / 3) % 10));
  const photo = uprightPhoto(raster('srgb8', 10, 10, 3, ramp));
  const inside = sampleBox(photo, plane, { xMm: 2, yMm: 2, widthMm: 4, heightMm: 4 }, 1);
  expect([inside.columns, inside.rows]).toEqual([4, 4]);
  expect(inside.codes[0]).toBeCloseTo(40, 5);
  expect(meanCodes(inside)?.codes[1]).toBeCloseTo(70, 5);
  expect(meanCodes(sampleBox(photo, plane, { xMm: 7, yMm: 2, widthMm: 6, heightMm: 2 }, 1))).toBeNull();
  const burnt = uprightPhoto(raster('srgb8', 10, 10, 3, new Uint8Array(300).fill(255)));
  expect(meanCodes(sampleBox(burnt, plane, { xMm: 2, yMm: 2, widthMm: 4, heightMm: 4 }, 1))?.clipped).toBe(1);
});

test('damped least squares reach the bottom of a curved valley', () => {
  const fit = leastSquares({
    start: [-1.2, 1],
    residuals: 2,
    robustCount: 0,
    softScale: 1,
    maxIterations: 200,
    evaluate(p, out) {
      out[0] = 10 * ((p[1] ?? 0) - (p[0] ?? 0) ** 2);
      out[1] = 1 - (p[0] ?? 0);
    },
  });
  expect(fit.parameters[0]).toBeCloseTo(1, 3);
  expect(fit.parameters[1]).toBeCloseTo(1, 3);
});

test('a few wild points do not pull a robust fit away', () => {
  const xs = Array.from({ length: 40 }, (_, i) => i / 10);
  const ys = xs.map((x, i) => 2 * x + 1 + (i % 13 === 0 ? 50 : 0));
  const line = (robustCount: number) =>
    leastSquares({
      start: [0, 0],
      residuals: xs.length,
      robustCount,
      softScale: 0.1,
      maxIterations: 100,
      evaluate(p, out) {
        xs.forEach((x, i) => (out[i] = (p[0] ?? 0) * x + (p[1] ?? 0) - (ys[i] ?? 0)));
      },
    }).parameters;
  expect(Math.abs((line(xs.length)[0] ?? 0) - 2)).toBeLessThan(0.1);
  expect(Math.abs((line(0)[1] ?? 0) - 1)).toBeGreaterThan(1);
});
