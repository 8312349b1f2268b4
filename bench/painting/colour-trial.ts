/** A copy in colour of a rendered picture, some shapes in a mistaken colour: photographed, and measured by its colours. */
import { critiquePainting } from '@/core/critique/painting/critique';
import { labToLinearRgb, linearRgbToLab } from '@/core/colour/lab';
import { srgbToLinear, type Triple } from '@/core/colour/srgb';
import { pictureStep } from '@/core/exercise/key';
import { measurePainting } from '@/core/painting/measure-painting';
import type { ShapePlane } from '@/core/painting/shapes/named-shapes';
import { paintingReference } from '@/core/painting/reference';
import type { PaintingResult } from '@/core/painting/result';
import { raster } from '@/core/raster/raster';
import { valueMap, valueSpan } from '@/core/reference/value-map';
import { photograph } from '@/devices/camera';
import { shotFor } from '@/devices/camera-conditions';
import type { CameraCondition } from '@/devices/condition-names';
import { paintPicture } from '@/devices/picture-painter';
import { chance } from '@/devices/random';
import { decodePhoto } from '@/workers/decoding/decode';
import { loadOpenCv } from '@/workers/decoding/opencv';
import { readQr } from '@/workers/decoding/read-qr';
import sharp from 'sharp';
import { blankFor, targetOf } from '../notan-stage';
import { namedPlane, nameOf, shapesOf } from './named-of-scene';
import { type Reference, referenceOf } from './references';

export interface ColourTrial {
  readonly seed: number;
  readonly scene: number;
  readonly camera: CameraCondition;
  readonly megapixels: number;
  readonly way: 'sheet' | 'brackets';
  /** By how much (in a* and b*) some shapes are mistaken; 0 for a faithful one. */
  readonly mistaken: number;
  /** What all of it is off by: a hue that lies over it, or colours that lie closer together. */
  readonly whole: 'right' | 'cast' | 'dull';
  /** Whether the shapes have names. */
  readonly named: boolean;
  /** Whether shadows turn warm where they should turn cool, and the other way round, none of them far from its colour. */
  readonly turned?: boolean;
}

type Hue = readonly [number, number];

export interface ColourOutcome {
  readonly trial: ColourTrial;
  readonly accepted: boolean;
  readonly basis: PaintingResult['capture']['colour'];
  readonly shapes: readonly {
    readonly name: string;
    readonly area: number;
    readonly box: PaintingResult['shapes'][number]['box'];
    /** What it was painted in, what was read, and by how much it was mistaken. */
    readonly painted: Hue;
    readonly read: Hue | null;
    readonly by: Hue | null;
  }[];
  readonly cast: Hue;
  readonly strength: number;
  /** Shadows that were turned. */
  readonly turned: readonly string[];
  /** How far the reference's own colours lie apart, root mean square. */
  readonly spread: number;
  readonly colour: PaintingResult['colour'];
  /** Codes and places of what is said of its colours. */
  readonly said: readonly { readonly code: string; readonly shape: string | null; readonly box: ColourBox | null }[];
}
type ColourBox = PaintingResult['shapes'][number]['box'];

const ENDS = { light: 96, dark: 20 } as const;
/** Colours of rendered things are quiet: a picture in colour has them further apart. */
const LOUDER = 1.6;
const DULL = 0.5;

/** a* and b* of every place of the picture that is copied, within what a screen can show, and the picture itself. */
async function coloured(reference: Reference) {
  const { data, info } = await sharp(reference.png).raw().toBuffer({ resolveWithObject: true });
  const n = info.width * info.height;
  const [a, b, linear] = [new Float32Array(n), new Float32Array(n), new Float32Array(3 * n)];
  for (let i = 0; i < n; i++) {
    const rgb = [0, 1, 2].map((c) => srgbToLinear((data[3 * i + c] as number) / 255)) as unknown as Triple;
    const lab = linearRgbToLab(rgb);
    let louder = LOUDER;
    const at = () => labToLinearRgb([lab[0], louder * lab[1], louder * lab[2]]);
    while (louder > 0.2 && at().some((c) => c < 0.004 || c > 1)) louder -= 0.2;
    [a[i], b[i]] = [louder * lab[1], louder * lab[2]];
    linear.set(at(), 3 * i);
  }
  return { a, b, linear: raster('linear', info.width, info.height, 3, linear) };
}

function deviation(values: Float32Array): number {
  const mean = values.reduce((s, v) => s + v, 0) / values.length;
  return Math.sqrt(values.reduce((s, v) => s + (v - mean) ** 2, 0) / values.length);
}

/** The same with what each shape is of its thing. */
const withParts = (plane: ShapePlane): ShapePlane => ({
  ...plane,
  shapes: plane.shapes.map((s) => ({ ...s, part: s.name.endsWith('shadow') ? 'shadow' : 'lit' })),
});

/** Hue angle of what is warmest. */
const WARMEST: Hue = [0.5, Math.sqrt(0.75)];
/** A shadow that is so much warmer or cooler than its light, a* and b*, is turned so far to the other side. */
const TURNS = { from: 3.4, to: 6, painted: 4.4 } as const;

/** What shadows and lights of one thing are to be off by so that the shadow turns the other way: half of it each. */
function turnedShadows(
  named: readonly number[],
  shapeOf: ArrayLike<number>,
  hues: readonly [Float32Array, Float32Array],
) {
  const mean = (shape: number): Hue => {
    const places = Array.from(shapeOf, (s, i) => (s === shape ? i : -1)).filter((i) => i >= 0);
    return [0, 1].map((c) => places.reduce((s, i) => s + (hues[c]?.[i] ?? 0), 0) / places.length) as unknown as Hue;
  };
  return new Map(
    named.flatMap((shape): [number, Hue][] => {
      if (shape % 2 === 0 || !named.includes(shape - 1)) return [];
      const [shadow, light] = [mean(shape), mean(shape - 1)];
      const warm = (shadow[0] - light[0]) * WARMEST[0] + (shadow[1] - light[1]) * WARMEST[1];
      if (Math.abs(warm) < TURNS.from || Math.abs(warm) > TURNS.to) return [];
      const half = -(warm + Math.sign(warm) * TURNS.painted) / 2;
      return [
        [shape, [half * WARMEST[0], half * WARMEST[1]]],
        [shape - 1, [-half * WARMEST[0], -half * WARMEST[1]]],
      ];
    }),
  );
}

export default async function runColourTrial(trial: ColourTrial): Promise<ColourOutcome> {
  const { seed, camera, megapixels } = trial;
  const own = chance(seed).fork('colour trial');
  const reference = await referenceOf(trial.scene);
  const { width, height, lightness, shapeOf } = reference;
  const { a, b, linear } = await coloured(reference);
  const { of } = valueMap(valueSpan(lightness), { ends: ENDS, key: 'full', pushPercent: 0 });
  const named = shapesOf(reference);
  let left = 0.25;
  const mistaken = new Map<number, Hue>(
    trial.mistaken === 0
      ? []
      : named.flatMap(({ shape, area }): [number, Hue][] => {
          if (area > Math.min(0.2, left) || own.next() > 0.35) return [];
          left -= area;
          const way = own.between(0, 2 * Math.PI);
          return [[shape, [trial.mistaken * Math.cos(way), trial.mistaken * Math.sin(way)]]];
        }),
  );
  const way = own.between(0, 2 * Math.PI);
  const cast: Hue = trial.whole === 'cast' ? [12 * Math.cos(way), 12 * Math.sin(way)] : [0, 0];
  const strength = trial.whole === 'dull' ? DULL : 1;
  const turned = trial.turned
    ? turnedShadows(
        named.map(({ shape }) => shape),
        shapeOf,
        [a, b],
      )
    : new Map<number, Hue>();
  const hueOf = (shape: number, i: number): Hue => {
    const [da, db] = mistaken.get(shape) ?? turned.get(shape) ?? [0, 0];
    return [strength * (a[i] as number) + cast[0] + da, strength * (b[i] as number) + cast[1] + db];
  };
  const blank = await blankFor(trial, 'office', height / width, 'master-copy');
  const { surface } = paintPicture(
    blank.surface,
    blank.frame,
    {
      ...reference,
      hues: Float32Array.from(
        { length: 2 * shapeOf.length },
        (_, k) => hueOf(shapeOf[k >> 1] as number, k >> 1)[k % 2 === 0 ? 0 : 1],
      ),
    },
    {
      whole: { shift: { x: 0, y: 0 }, scale: { x: 1.01, y: 1 }, rotation: 0.4, shear: 0 },
      ...{ moves: [], mistaken: new Map(), value: of },
      ...{ stray: 0.0015, smallest: 0.008, unsure: 0.8, streaks: 0.4, ground: 80 },
    },
    seed,
  );
  const jpeg = await photograph(surface, blank.stage, shotFor(camera, blank.stage, seed, megapixels), seed);
  const photo = await decodePhoto(jpeg);
  const { cv } = await loadOpenCv();
  const { result } = await measurePainting(
    photo,
    {
      reference: paintingReference(cv, {
        lightness: { width, height, data: lightness },
        target: { width, height, data: lightness.map(of) },
        colours: linear,
        shapes: trial.named ? withParts(namedPlane(reference, named)) : null,
      }),
      step: pictureStep(ENDS),
      lightest: ENDS.light,
      ...{ ruleWins: false, toleranceSteps: 0.5, coloured: true },
      expected: { exercise: null, student: null },
      target: targetOf(trial, blank),
      card: { basis: 'measured', readings: blank.readings },
    },
    { cv, readQr },
  );
  const findings = critiquePainting(result, 0.5).filter(
    (f) => f.code.startsWith('colour') || f.code === 'shadow_warmth',
  );
  return {
    trial,
    accepted: result.capture.accepted,
    basis: result.capture.colour,
    shapes: named.map(({ shape, area, box }) => {
      const places = [...shapeOf.keys()].filter((i) => shapeOf[i] === shape);
      const mean = (k: 0 | 1) => places.reduce((s, i) => s + hueOf(shape, i)[k], 0) / places.length;
      const read = result.shapes.find((s) => s.name === nameOf(shape));
      return {
        name: nameOf(shape),
        area,
        box,
        painted: [mean(0), mean(1)],
        read: read?.a == null || read.b == null ? null : [read.a, read.b],
        by: mistaken.get(shape) ?? null,
      };
    }),
    cast,
    strength,
    turned: [...turned.keys()].filter((shape) => shape % 2 === 1).map(nameOf),
    spread: Math.hypot(deviation(a), deviation(b)),
    colour: result.colour,
    said: findings.map(({ code, where }) => ({ code, shape: where.shape ?? null, box: where.box ?? null })),
  };
}
