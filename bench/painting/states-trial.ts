/** Two states of one painting from life, each photographed: its masses, what changed between them, and how soft its edges are. */
import { pictureStep } from '@/core/exercise/key';
import { measureFromLife } from '@/core/painting/from-life';
import { rescueOf } from '@/core/painting/rescue/changed';
import { photograph } from '@/devices/camera';
import { shotFor } from '@/devices/camera-conditions';
import type { CameraCondition } from '@/devices/condition-names';
import type { SeenPicture } from '@/devices/drawing-hand';
import { AS_IT_IS } from '@/devices/drawing-hand';
import { paintPicture } from '@/devices/picture-painter';
import { chance } from '@/devices/random';
import { decodePhoto } from '@/workers/decoding/decode';
import { loadOpenCv } from '@/workers/decoding/opencv';
import { readQr } from '@/workers/decoding/read-qr';
import { blankFor, targetOf } from '../notan-stage';

export interface StatesTrial {
  readonly seed: number;
  readonly camera: CameraCondition;
  readonly way: 'sheet' | 'brackets';
  readonly megapixels: number;
}

export interface StatesOutcome {
  readonly accepted: boolean;
  /** Of each mass: lightness as read less as painted, L*. */
  readonly masses: readonly number[];
  /** Of each edge: as read over as painted. */
  readonly edges: readonly { readonly mm: number; readonly ratio: number }[];
  /** Range (L*), share in the middle third (of a hundred), share painted over: as told less as it was. */
  readonly rescue: {
    readonly range: number;
    readonly crowding: number;
    /** How far, L*, the ends of the middle third must have been misread for the share to be as it was told. */
    readonly thirds: number;
    readonly repainted: number;
  } | null;
}

const ENDS = { light: 96, dark: 20 } as const;
const [WIDTH, HEIGHT] = [640, 533] as const;

interface Blob {
  readonly x: number;
  readonly y: number;
  readonly r: number;
  readonly light: number;
  /** From 10 to 90 percent, widths. */
  readonly soft: number;
}

/** Rounded things before a ground, each with an edge of its own softness. */
function pictureOf(blobs: readonly Blob[], ground: number): SeenPicture {
  const lightness = new Float32Array(WIDTH * HEIGHT).fill(ground);
  const shapeOf = new Uint8Array(WIDTH * HEIGHT);
  for (let i = 0; i < lightness.length; i++) {
    const [x, y] = [((i % WIDTH) + 0.5) / WIDTH - 0.5, (Math.floor(i / WIDTH) + 0.5 - HEIGHT / 2) / WIDTH];
    blobs.forEach(({ x: cx, y: cy, r, light, soft }, k) => {
      const inside = r - Math.hypot(x - cx, y - cy);
      const share = 1 / (1 + Math.exp((-1.702 * 2.563 * inside) / soft));
      lightness[i] = (1 - share) * (lightness[i] as number) + share * light;
      if (inside > 0) shapeOf[i] = k + 1;
    });
  }
  return { width: WIDTH, height: HEIGHT, lightness, shapeOf };
}

const quantileOf = (sorted: Float32Array, share: number) => sorted[Math.floor(share * sorted.length)] as number;

const rangeOf = (painted: Float32Array): number => {
  const sorted = painted.slice().sort();
  return quantileOf(sorted, 0.95) - quantileOf(sorted, 0.05);
};

/** Share in the middle third, which reaches `wider`, L*, further at both ends. */
function crowdingOf(painted: Float32Array, wider = 0): number {
  const third = (ENDS.light - ENDS.dark) / 3;
  const [from, to] = [ENDS.dark + third - wider, ENDS.light - third + wider];
  return painted.filter((l) => l > from && l < to).length / painted.length;
}

/** Ends that are misread are looked for in steps of so much, and no further than this, L*. */
const [FINER, FURTHEST] = [0.1, 10];

/** How far the ends of the middle third are off at the least, L*, in one state or the other, where a change of its share was told so. */
function thirdsOff(told: number, was: Float32Array, is: Float32Array): number {
  for (let off = 0; off < FURTHEST; off += FINER) {
    const least = crowdingOf(is, -off) - crowdingOf(was, off);
    const most = crowdingOf(is, off) - crowdingOf(was, -off);
    if (told >= least && told <= most) return off;
  }
  return FURTHEST;
}

export default async function runStatesTrial(trial: StatesTrial): Promise<StatesOutcome> {
  const { seed, camera, megapixels } = trial;
  const own = chance(seed).fork('states');
  const blank = await blankFor(trial, 'office', HEIGHT / WIDTH);
  const widthMm = blank.frame.widthMm;
  const ground = own.between(30, 80);
  const blobs = [-0.26, 0.24].flatMap((x, k) =>
    [-0.2, 0.2].map((y, j): Blob => ({
      x: x + own.between(-0.02, 0.02),
      y: y + own.between(-0.02, 0.02),
      r: own.between(0.13, 0.15),
      light: ground > 55 ? own.between(22, 40) : own.between(72, 94),
      soft: (k === 0 && j === 0 ? own.between(2, 5) : own.between(2, 30)) / widthMm,
    })),
  );
  const picture = pictureOf(blobs, ground);
  const plan = (value: (l: number) => number) => ({
    whole: AS_IT_IS,
    moves: [],
    stray: 0.0005,
    smallest: 0.004,
    unsure: 0.5,
    value,
    mistaken: new Map<number, number>(),
    ground: own.between(60, 93),
    streaks: own.between(0, 1),
  });
  const crowd = own.between(0.35, 0.7);
  const early = paintPicture(
    blank.surface,
    blank.frame,
    picture,
    plan((l) => 55 + crowd * (l - 55)),
    seed,
  );
  const late = paintPicture(
    blank.surface,
    blank.frame,
    picture,
    plan((l) => l),
    seed + 1,
  );
  const { cv } = await loadOpenCv();
  const shapes = {
    ...{ width: WIDTH, height: HEIGHT, shapeOf: picture.shapeOf, lights: 1 },
    shapes: blobs.map((_, k) => ({
      ...{ name: `thing ${k + 1}`, object: `thing ${k + 1}`, part: null, steps: null },
      material: 'matt' as const,
    })),
  };
  const read = async ({ surface }: typeof late, shot: number) => {
    const jpeg = await photograph(surface, blank.stage, shotFor(camera, blank.stage, shot, megapixels), shot);
    return measureFromLife(
      await decodePhoto(jpeg),
      {
        shapesOn: () => shapes,
        ends: ENDS,
        step: pictureStep(ENDS),
        expected: { exercise: null, student: null },
        target: targetOf(trial, blank, 0),
        card: { basis: 'measured', readings: blank.readings },
      },
      { cv, readQr },
    );
  };
  const [before, after] = [await read(early, seed), await read(late, seed + 7)];
  if (!before.plane || !after.plane) return { accepted: false, masses: [], edges: [], rescue: null };
  const told = rescueOf(before.plane, after.plane, ENDS);
  const [was, is] = [early.canvas.painted, late.canvas.painted];
  const over =
    late.canvas.painted.filter((l, i) => Math.abs(l - (early.canvas.painted[i] as number)) > 4).length /
    late.canvas.painted.length;
  const insideOf = (k: number) => {
    const { x: xs, y: ys } = late.canvas.drawing;
    const { x, y, r } = blobs[k] as Blob;
    return late.canvas.painted.filter((_, i) => {
      const [u, v] = [(xs[i] as number) / WIDTH - 0.5 - x, ((ys[i] as number) - HEIGHT / 2) / WIDTH - y];
      return Math.hypot(u, v) < r - 0.006;
    });
  };
  return {
    accepted: true,
    masses: blobs.map((_, k) => {
      const values = insideOf(k);
      return (after.result.shapes[k]?.lightness ?? NaN) - values.reduce((s, l) => s + l, 0) / values.length;
    }),
    edges: blobs.map(({ soft }, k) => ({
      mm: soft * widthMm,
      ratio: (after.result.shapes[k]?.edgeMm ?? NaN) / (soft * widthMm),
    })),
    rescue: {
      range: told.range - (rangeOf(is) - rangeOf(was)),
      crowding: 100 * (told.crowding - (crowdingOf(is) - crowdingOf(was))),
      thirds: thirdsOff(told.crowding, was, is),
      repainted: told.repainted - over,
    },
  };
}
