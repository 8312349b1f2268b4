/** Where the simulated camera stands and what its lens does: pixels back to places on the table. */
import type { Triple } from '@/core/colour/srgb';
import type { Chance } from './random';

export interface Pose {
  /** Focal length, pixels. */
  readonly focal: number;
  readonly tiltDegrees: number;
  /** Direction towards which the sheet tilts away, degrees. */
  readonly tiltToward: number;
  readonly rollDegrees: number;
  /** Share of the frame that the sheet fills in its tighter direction; above 1 it is cut off. */
  readonly fill: number;
  /** Centre of the sheet from the centre of the frame, as a share of the frame. */
  readonly offset: readonly [number, number];
  /** Radial terms from distorted to straight, over the half diagonal. */
  readonly lens: readonly [number, number];
}

export interface Projection {
  /** Millimetres on the sheet's plane for a pixel position. */
  toMm(x: number, y: number): readonly [number, number];
  /** Pixel position of a place on the sheet's plane. */
  readonly toPixel: (xMm: number, yMm: number) => readonly [number, number];
  /** Where the lens is: over which place of the sheet's plane, and how high, mm. */
  readonly eye: Triple;
}

type M3 = number[];

function mul(a: M3, b: M3): M3 {
  const out: M3 = [];
  for (let r = 0; r < 3; r++)
    for (let c = 0; c < 3; c++) {
      let s = 0;
      for (let k = 0; k < 3; k++) s += (a[3 * r + k] ?? 0) * (b[3 * k + c] ?? 0);
      out.push(s);
    }
  return out;
}

function inverse(m: M3): M3 {
  const [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0, g = 0, h = 0, i = 0] = m;
  const det = a * (e * i - f * h) - b * (d * i - f * g) + c * (d * h - e * g);
  return [
    e * i - f * h,
    c * h - b * i,
    b * f - c * e,
    f * g - d * i,
    a * i - c * g,
    c * d - a * f,
    d * h - e * g,
    b * g - a * h,
    a * e - b * d,
  ].map((v) => v / det);
}

const rad = (degrees: number) => (degrees * Math.PI) / 180;

export function project(
  pose: Pose,
  frame: { width: number; height: number },
  sheet: { widthMm: number; heightMm: number },
): Projection {
  const [ct, st] = [Math.cos(rad(pose.tiltDegrees)), Math.sin(rad(pose.tiltDegrees))];
  const [ca, sa] = [Math.cos(rad(pose.tiltToward)), Math.sin(rad(pose.tiltToward))];
  const [cr, sr] = [Math.cos(rad(pose.rollDegrees)), Math.sin(rad(pose.rollDegrees))];
  const about: M3 = [ca, -sa, 0, sa, ca, 0, 0, 0, 1];
  const back: M3 = [ca, sa, 0, -sa, ca, 0, 0, 0, 1];
  const tilt: M3 = [ct, 0, st, 0, 1, 0, -st, 0, ct];
  const roll: M3 = [cr, -sr, 0, sr, cr, 0, 0, 0, 1];
  const turn = mul(roll, mul(about, mul(tilt, back)));
  const centre = [frame.width * (0.5 + pose.offset[0]), frame.height * (0.5 + pose.offset[1])] as const;
  const matrixAt = (distance: number): M3 => {
    const tx = ((centre[0] - frame.width / 2) * distance) / pose.focal;
    const ty = ((centre[1] - frame.height / 2) * distance) / pose.focal;
    const extrinsic = [
      turn[0] ?? 0,
      turn[1] ?? 0,
      tx,
      turn[3] ?? 0,
      turn[4] ?? 0,
      ty,
      turn[6] ?? 0,
      turn[7] ?? 0,
      distance,
    ];
    const fromCorner: M3 = [1, 0, -sheet.widthMm / 2, 0, 1, -sheet.heightMm / 2, 0, 0, 1];
    const intrinsic: M3 = [pose.focal, 0, frame.width / 2, 0, pose.focal, frame.height / 2, 0, 0, 1];
    return mul(intrinsic, mul(extrinsic, fromCorner));
  };
  const eyeAt = (distance: number): Triple => {
    const t = [
      ((centre[0] - frame.width / 2) * distance) / pose.focal,
      ((centre[1] - frame.height / 2) * distance) / pose.focal,
      distance,
    ];
    const along = (column: number) => -[0, 1, 2].reduce((s, r) => s + (turn[3 * r + column] ?? 0) * (t[r] ?? 0), 0);
    return [along(0) + sheet.widthMm / 2, along(1) + sheet.heightMm / 2, Math.abs(along(2))];
  };
  const spread = (m: M3): number => {
    const xs: number[] = [];
    const ys: number[] = [];
    for (const [x, y] of [
      [0, 0],
      [sheet.widthMm, 0],
      [0, sheet.heightMm],
      [sheet.widthMm, sheet.heightMm],
    ] as const) {
      const w = (m[6] ?? 0) * x + (m[7] ?? 0) * y + (m[8] ?? 1);
      xs.push(((m[0] ?? 0) * x + (m[1] ?? 0) * y + (m[2] ?? 0)) / w);
      ys.push(((m[3] ?? 0) * x + (m[4] ?? 0) * y + (m[5] ?? 0)) / w);
    }
    return Math.max(
      (Math.max(...xs) - Math.min(...xs)) / frame.width,
      (Math.max(...ys) - Math.min(...ys)) / frame.height,
    );
  };
  let [near, far] = [100, 20000];
  for (let k = 0; k < 50; k++) {
    const middle = (near + far) / 2;
    if (spread(matrixAt(middle)) > pose.fill) near = middle;
    else far = middle;
  }
  const back2mm = inverse(matrixAt(far));
  const half = Math.hypot(frame.width, frame.height) / 2;
  const [k1, k2] = pose.lens;
  const forward = matrixAt(far);
  return {
    eye: eyeAt(far),
    toPixel(xMm, yMm) {
      const [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0, g = 0, h = 0, i = 1] = forward;
      const w = g * xMm + h * yMm + i;
      const [ux, uy] = [
        ((a * xMm + b * yMm + c) / w - frame.width / 2) / half,
        ((d * xMm + e * yMm + f) / w - frame.height / 2) / half,
      ];
      // The lens runs from the photograph to the straight picture; the other way round is found step by step.
      let [dx, dy] = [ux, uy];
      for (let k = 0; k < 30; k++) {
        const r2 = dx * dx + dy * dy;
        const s = 1 + k1 * r2 + k2 * r2 * r2;
        [dx, dy] = [ux / s, uy / s];
      }
      return [frame.width / 2 + dx * half, frame.height / 2 + dy * half];
    },
    toMm(px, py) {
      const dx = (px - frame.width / 2) / half;
      const dy = (py - frame.height / 2) / half;
      const r2 = dx * dx + dy * dy;
      const s = 1 + k1 * r2 + k2 * r2 * r2;
      const x = frame.width / 2 + dx * s * half;
      const y = frame.height / 2 + dy * s * half;
      const w = (back2mm[6] ?? 0) * x + (back2mm[7] ?? 0) * y + (back2mm[8] ?? 1);
      return [
        ((back2mm[0] ?? 0) * x + (back2mm[1] ?? 0) * y + (back2mm[2] ?? 0)) / w,
        ((back2mm[3] ?? 0) * x + (back2mm[4] ?? 0) * y + (back2mm[5] ?? 0)) / w,
      ];
    },
  };
}

export function randomPose(own: Chance, longSide: number, tilt: readonly [number, number]): Pose {
  return {
    focal: longSide * own.between(0.7, 0.85),
    tiltDegrees: own.between(...tilt),
    tiltToward: own.between(0, 360),
    rollDegrees: own.between(-5, 5),
    fill: own.between(0.8, 0.9),
    offset: [own.between(-0.02, 0.02), own.between(-0.02, 0.02)],
    lens: [own.between(-0.02, 0.03), own.between(-0.006, 0.006)],
  };
}
