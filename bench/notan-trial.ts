/** A painting in few tones: made up, painted, photographed and measured against what it was painted from. */
import { targetLightnesses } from '@/core/exercise/targets';
import { measureNotan } from '@/core/notan/measure-notan';
import { darkAllRound } from '@/core/notan/painted-frame';
import { flippedRegions, type FlippedRegion } from '@/core/tones/compare-tones';
import { sharesOf, toneShapes } from '@/core/tones/tones';
import type { ToneMap } from '@/devices/notan-painter';
import { chance, smoothNoise } from '@/devices/random';
import { loadOpenCv } from '@/workers/decoding/opencv';
import { readQr } from '@/workers/decoding/read-qr';
import { photographed, type NotanShot, type ShotPlan } from './notan-stage';

export interface NotanTrial extends NotanShot {
  readonly tones: number;
}

export interface NotanOutcome {
  readonly trial: NotanTrial;
  readonly accepted: boolean;
  readonly codes: readonly string[];
  /** Of each tone: share as read less share as painted. */
  readonly shares: readonly number[];
  /** Agreement as read less that of what was painted. */
  readonly agreement: number;
  /** Whether a frame was painted round it, and whether one was found. */
  readonly frame: { readonly made: boolean; readonly found: boolean };
  /** Flipped shapes of over a hundredth that were made, and how many of them were told; what was told, and how much of it was made. */
  readonly flips: { readonly made: number; readonly told: number; readonly said: number; readonly right: number };
}

const GRID = { width: 1000, height: 833 } as const;
const LEAST_FLIP = 0.01;

/** A scene of big overlapping shapes in few tones: slopes, discs, boxes; nobody sets one in which a tone hardly shows. */
function scene(tones: number, seed: number, again = 0): ToneMap {
  const own = chance(seed + again).fork('scene');
  const toneOf = new Uint8Array(GRID.width * GRID.height).fill(own.whole(1, tones));
  const shapes = own.whole(4, 7);
  for (let k = 0; k < shapes; k++) {
    const tone = k < tones ? k + 1 : own.whole(1, tones);
    const [cx, cy, r, squash, turn, salt] = [
      own.between(0.1, 0.9) * GRID.width,
      own.between(0.1, 0.9) * GRID.height,
      own.between(0.12, 0.28) * GRID.width,
      own.between(0.5, 1),
      own.between(0, Math.PI),
      own.whole(1, 1e9),
    ];
    const square = own.next() < 0.4;
    for (let y = 0; y < GRID.height; y++)
      for (let x = 0; x < GRID.width; x++) {
        const [dx, dy] = [x - cx, y - cy];
        const [u, v] = [
          Math.cos(turn) * dx + Math.sin(turn) * dy,
          (Math.cos(turn) * dy - Math.sin(turn) * dx) / squash,
        ];
        const far = square ? Math.max(Math.abs(u), Math.abs(v)) * 1.1 : Math.hypot(u, v);
        if (far < r * (1 + 0.15 * smoothNoise(Math.atan2(v, u) * 1.5 + 9, k, salt))) toneOf[y * GRID.width + x] = tone;
      }
  }
  return Math.min(...sharesOf(toneOf, tones)) < LEAST_FLIP ? scene(tones, seed, again + 1) : { ...GRID, toneOf };
}

/** The scene with up to two of its shapes in another tone; no tone is lost by it, which would be another fault. */
function flipped({ toneOf, width, height }: ToneMap, tones: number, seed: number): ToneMap {
  const own = chance(seed).fork('flips');
  const { shapes, shapeOf } = toneShapes(toneOf, width);
  const able = shapes.flatMap((s, k) =>
    s.places / toneOf.length > 0.015 && s.places / toneOf.length < 0.2 ? [k] : [],
  );
  const chosen = new Map(
    able
      .filter(() => own.next() < 0.4)
      .slice(0, 2)
      .map((k) => [k, 1 + ((shapes[k]!.tone - 1 + own.whole(1, tones - 1)) % tones)]),
  );
  const meant = toneOf.map((t, i) => chosen.get(shapeOf[i] as number) ?? t);
  return { width, height, toneOf: Math.min(...sharesOf(meant, tones)) < LEAST_FLIP ? toneOf : meant };
}

const agreementOf = (a: Uint8Array, b: Uint8Array): number =>
  a.reduce((s, t, i) => s + (t === b[i] ? 1 : 0), 0) / a.length;

/** Whether a region that was told lies on places that were meant so: one shape may be told in two parts where it meets another. */
function lies(told: FlippedRegion, on: FlippedRegion, meant: ToneMap, wanted: ToneMap): boolean {
  if (told.drawn !== on.drawn || told.wanted !== on.wanted) return false;
  const within = ({ box }: FlippedRegion, x: number, y: number) =>
    x >= box.x && y >= box.y && x < box.x + box.width && y < box.y + box.height;
  const both = meant.toneOf.reduce((n, t, i) => {
    const [x, y] = [(i % meant.width) / meant.width, Math.floor(i / meant.width) / meant.height];
    return n + (t === told.drawn && wanted.toneOf[i] === told.wanted && within(told, x, y) && within(on, x, y) ? 1 : 0);
  }, 0);
  return both / meant.toneOf.length > 0.5 * Math.min(told.area, on.area);
}

export default async function runNotanTrial(trial: NotanTrial): Promise<NotanOutcome> {
  const { seed, tones } = trial;
  const own = chance(seed).fork('notan trial');
  const reference = scene(tones, seed);
  const meant = flipped(reference, tones, seed);
  const ends = { light: own.between(90, 95), dark: own.between(21, 30) };
  // A picture that is dark all round, or was painted so, shows no frame.
  const frameOwn = chance(seed).fork('frame');
  const framed = frameOwn.next() < 0.25 && !darkAllRound(reference) && !darkAllRound(meant);
  const plan: ShotPlan = {
    lightness: targetLightnesses(tones, ends, 'light-first', 'lightness').map(
      (l) => l + (tones > 2 ? 2 * own.gauss() : 0),
    ),
    ragged: own.between(0.001, 0.005),
    shift: { x: 0, y: 0 },
    streaks: own.between(0, 1.5),
    frame: framed ? { share: frameOwn.between(0.02, 0.06), lightness: ends.dark - frameOwn.between(0, 4) } : null,
  };
  const { photo, target, painted } = await photographed(trial, meant, plan);
  const { cv } = await loadOpenCv();
  const { result } = await measureNotan(
    photo,
    { reference, tones, ends, expected: { exercise: null, student: null }, target },
    { cv, readQr },
  );
  const { accepted, issues } = result.capture;
  const truth = sharesOf(painted.toneOf, tones);
  // What was flipped is told by what was meant, before the hand strayed.
  const all = flippedRegions(meant, reference, { x: 0, y: 0 });
  const made = all.filter((r) => r.area > LEAST_FLIP);
  const said = result.regions.filter((r) => r.area > LEAST_FLIP);
  return {
    trial,
    accepted,
    codes: issues.map((i) => i.code),
    shares: result.tones.map((t, k) => t.share - (truth[k] ?? 0)),
    agreement: (result.agreement ?? Number.NaN) - agreementOf(painted.toneOf, reference.toneOf),
    frame: { made: framed, found: result.frame !== null },
    flips: {
      made: made.length,
      told: made.filter((m) => result.regions.some((r) => lies(r, m, meant, reference))).length,
      said: said.length,
      right: said.filter((r) => all.some((m) => lies(r, m, meant, reference))).length,
    },
  };
}
