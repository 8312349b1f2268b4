/** A painting from life: a scene seen by its masses, some of them mistaken, photographed, and judged by masses that somebody showed on it. */
import { critiqueTones } from '@/core/critique/tones/critique';
import { targetLightnesses } from '@/core/exercise/targets';
import { judgePainting, notanTargets } from '@/core/notan/judge-painting';
import { measureNotan } from '@/core/notan/measure-notan';
import { darkAllRound } from '@/core/notan/painted-frame';
import type { Mass } from '@/core/tones/mass';
import { PICTURE_FOLDER, PICTURES } from '@/demo/pictures';
import type { ToneMap } from '@/devices/notan-painter';
import { chance, smoothNoise } from '@/devices/random';
import { loadOpenCv } from '@/workers/decoding/opencv';
import { readQr } from '@/workers/decoding/read-qr';
import path from 'node:path';
import sharp from 'sharp';
import { type NotanShot, photographed, type ShotPlan } from './notan-stage';

export interface MassTrial extends NotanShot {
  readonly scene: (typeof PICTURES)[number];
  readonly tones: 3 | 4 | 5;
}

interface Count {
  readonly made: number;
  readonly told: number;
  readonly said: number;
  readonly right: number;
}

export interface MassOutcome {
  readonly trial: MassTrial;
  readonly accepted: boolean;
  readonly codes: readonly string[];
  /** Whether a frame was painted round it, and whether one was found. */
  readonly frame: { readonly made: boolean; readonly found: boolean };
  /** Of each mass: lightness as read less as painted (L*), and share in its steps as read less as painted. */
  readonly lightness: readonly number[];
  readonly inside: readonly number[];
  /** Masses painted outside their steps; objects whose light and shadow were crossed. */
  readonly outside: Count;
  readonly crossed: Count;
}

const GRID = { width: 1000, height: 833 } as const;
/** Smaller masses (share of the picture) are none that anybody would name. */
const LEAST_MASS = 0.012;

/** Which mass each place of a scene is of, from its masks: a thing's light is 2 k, its shadow 2 k + 1. */
async function masksOf(scene: string, mirrored: boolean): Promise<Uint8Array> {
  const { width, height } = GRID;
  const plane = async (name: string) => {
    const image = sharp(path.join(PICTURE_FOLDER, scene, `${name}.png`)).resize(width, height, {
      kernel: 'nearest',
      fit: 'fill',
    });
    const { data, info } = await (mirrored ? image.flop() : image).raw().toBuffer({ resolveWithObject: true });
    return Uint8Array.from({ length: width * height }, (_, i) => data[info.channels * i] as number);
  };
  const [things, shadow] = [await plane('things'), await plane('shadow')];
  return things.map((thing, i) => 2 * thing + ((shadow[i] as number) > 127 ? 1 : 0));
}

interface Asked {
  readonly key: number;
  readonly mass: Mass;
  readonly tone: number;
  readonly mistaken: boolean;
}

/** What is asked of each mass, and in which tone it is painted: most as asked, some outside their steps, some pairs crossed. */
function masses(massOf: Uint8Array, tones: number, seed: number): Asked[] {
  const own = chance(seed).fork('masses');
  const places = new Map<number, number>();
  for (const key of massOf) places.set(key, (places.get(key) ?? 0) + 1);
  const things = [...new Set([...places.keys()].map((k) => k >> 1))].sort((a, b) => a - b);
  return things.flatMap((thing) => {
    const able = [2 * thing, 2 * thing + 1].filter((k) => (places.get(k) ?? 0) >= LEAST_MASS * massOf.length);
    const pair = able.length === 2;
    const crossed = pair && own.next() < 0.25;
    const light = own.whole(1, tones - 1);
    const dark = own.whole(light + 1, tones);
    return able.map((key): Asked => {
      const shadow = key % 2 === 1;
      const right = shadow ? dark : light;
      const part = pair ? (shadow ? ('shadow' as const) : ('lit' as const)) : null;
      // A pair that is crossed is given no steps: what is told of it rests on its order alone.
      const steps = crossed ? null : { from: Math.max(1, right - (own.next() < 0.3 ? 1 : 0)), to: right, of: tones };
      const mistaken = steps !== null && own.next() < 0.2;
      const wrong = steps && (steps.to < tones ? steps.to + 1 : steps.from - 1);
      const tone = crossed ? (shadow ? light : dark) : mistaken && wrong && wrong > 0 ? wrong : right;
      return {
        key,
        tone,
        mistaken: tone !== right && steps !== null,
        mass: {
          name: `thing ${thing} > ${shadow ? 'shadow' : 'light'}`,
          emphasis: 1,
          part,
          material: 'matt',
          blocked: 0,
          steps,
        },
      };
    });
  });
}

/** Where nothing of known lightness is in the picture, its lightest and darkest tone are what is asked for: somebody has to paint them. */
function bothEnds(massOf: Uint8Array, tones: number, seed: number): Asked[] {
  for (let k = 0; ; k++) {
    const own = masses(massOf, tones, seed + 100_000 * k);
    if (own.some((a) => a.tone === 1) && own.some((a) => a.tone === tones)) return own;
  }
}

/** Places nearer to another mass than this are nobody's: there the hand of the painter and that of the teacher stray. */
const EDGE = 10;
const AROUND = [
  [-1, -1],
  [0, -1],
  [1, -1],
  [-1, 0],
  [1, 0],
  [-1, 1],
  [0, 1],
  [1, 1],
] as const;

function wellInside(massOf: Uint8Array, i: number): boolean {
  const [x, y] = [i % GRID.width, Math.floor(i / GRID.width)];
  return AROUND.every(([dx, dy]) => {
    const [u, v] = [x + EDGE * dx, y + EDGE * dy];
    return u < 0 || v < 0 || u >= GRID.width || v >= GRID.height || massOf[v * GRID.width + u] === massOf[i];
  });
}

const sum = (values: readonly number[]) => values.reduce((a, b) => a + b, 0);

export default async function runMassTrial(trial: MassTrial): Promise<MassOutcome> {
  const { seed, tones, scene } = trial;
  const own = chance(seed).fork('mass trial');
  const massOf = await masksOf(scene, own.next() < 0.5);
  const asked = bothEnds(massOf, tones, seed);
  const tonesOf = new Map(asked.map((a) => [a.key, a.tone]));
  // What is too small to be named is painted as what it belongs to.
  const map: ToneMap = { ...GRID, toneOf: massOf.map((key) => tonesOf.get(key) ?? tonesOf.get(key ^ 1) ?? 1) };
  const ends = { light: own.between(90, 95), dark: own.between(21, 30) };
  // Between marked corners the ends are what was asked for, by agreement: how far the student missed them nobody can tell.
  const isKnown = (k: number) => trial.way !== 'corners' || (k > 0 && k < tones - 1);
  const lightness = targetLightnesses(tones, ends, 'light-first', 'lightness').map(
    (l, k) => l + own.gauss() * (isKnown(k) ? 1 : 0),
  );
  // A picture that is dark all round shows no frame.
  const plan: ShotPlan = {
    lightness,
    ragged: own.between(0.001, 0.004),
    shift: { x: 0, y: 0 },
    streaks: own.between(0, 1.5),
    frame:
      own.next() < 0.25 && !darkAllRound(map)
        ? { share: own.between(0.02, 0.06), lightness: ends.dark - own.between(0, 4) }
        : null,
  };
  const { photo, target, painted } = await photographed(trial, map, plan);
  const { cv } = await loadOpenCv();
  const { result, drawn } = await measureNotan(
    photo,
    { reference: null, tones, ends, expected: { exercise: null, student: null }, target },
    { cv, readQr },
  );
  const { accepted, issues } = result.capture;
  const nothing = { made: 0, told: 0, said: 0, right: 0 };
  if (!drawn)
    return {
      trial,
      accepted: false,
      codes: issues.map((i) => i.code),
      frame: { made: plan.frame !== null, found: false },
      lightness: [],
      inside: [],
      outside: nothing,
      crossed: nothing,
    };
  // A teacher's brush strays by a few thousandths of the picture.
  const [sx, sy] = [own.whole(1, 1e9), own.whole(1, 1e9)];
  const stray = (u: number, v: number, salt: number) => 0.003 * smoothNoise(u * 14, v * 14, salt);
  const number = new Map(asked.map((a, k) => [a.key, k + 1]));
  const nameOf = Uint8Array.from({ length: drawn.width * drawn.height }, (_, i) => {
    const [u, v] = [((i % drawn.width) + 0.5) / drawn.width, (Math.floor(i / drawn.width) + 0.5) / drawn.height];
    const x = Math.min(GRID.width - 1, Math.max(0, Math.floor((u + stray(u, v, sx)) * GRID.width)));
    const y = Math.min(GRID.height - 1, Math.max(0, Math.floor((v + stray(u, v, sy)) * GRID.height)));
    return number.get(massOf[y * GRID.width + x] as number) ?? 0;
  });
  const named = { nameOf, names: asked.map((a) => a.mass) };
  const judged = {
    ...result,
    ...judgePainting({
      drawn,
      reference: null,
      readings: [],
      named,
      tones: result.tones,
      targets: notanTargets(tones, ends, null),
    }),
  };
  const findings = critiqueTones(judged, ends);
  const truth = asked.map(({ key, mass }) => {
    const whole = [...massOf.keys()].filter((i) => massOf[i] === key);
    const inner = whole.filter((i) => wellInside(massOf, i));
    const own = (inner.length > 0 ? inner : whole).map((i) => painted.toneOf[i] as number);
    return {
      lightness: sum(own.map((t) => plan.lightness[t - 1] as number)) / own.length,
      inside:
        mass.steps && own.filter((t) => mass.steps && t >= mass.steps.from && t <= mass.steps.to).length / own.length,
    };
  });
  const read = asked.map(({ mass }) => judged.masses.find((m) => m.name === mass.name));
  const said = (code: string) => findings.filter((f) => f.code === code).map((f) => f.where.shape);
  const count = (made: readonly string[], told: readonly (string | undefined)[]): Count => ({
    made: made.length,
    told: made.filter((m) => told.includes(m)).length,
    said: told.length,
    right: told.filter((t) => t !== undefined && made.includes(t)).length,
  });
  const crossed = asked
    .filter((a) => a.mass.part === 'lit' && a.mass.steps === null)
    .map((a) => a.mass.name.split(' > ')[0] as string);
  return {
    trial,
    accepted,
    codes: issues.map((i) => i.code),
    frame: { made: plan.frame !== null, found: result.frame !== null },
    lightness: read.flatMap((m, k) => (m && m.lightness !== null ? [m.lightness - (truth[k]?.lightness ?? 0)] : [])),
    inside: read.flatMap((m, k) => (m && m.inside !== null ? [m.inside - (truth[k]?.inside ?? 0)] : [])),
    outside: count(
      asked.filter((a) => a.mistaken).map((a) => a.mass.name),
      said('outside_steps'),
    ),
    crossed: count(crossed, said('pair_crossed')),
  };
}
