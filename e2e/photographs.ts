/** Photographs to hand in. */
import { luminanceToLightness } from '@/core/colour/lab';
import { LINEAR_OF_CODE } from '@/core/colour/srgb';
import { drawExerciseSheet } from '@/core/handout/exercise-sheet';
import { sampleWords } from '@/core/handout/sample-words';
import { defaultTerms, exerciseLayout } from '@/core/kinds/table';
import { valueMap, valueSpan } from '@/core/reference/value-map';
import { toneShapes } from '@/core/tones/tones';
import { photograph } from '@/devices/camera';
import { shotFor } from '@/devices/camera-conditions';
import { type CameraCondition } from '@/devices/condition-names';
import { AS_IT_IS } from '@/devices/drawing-hand';
import { type NotanPlan, paintTones, type ToneMap } from '@/devices/notan-painter';
import { planFor } from '@/devices/paint-conditions';
import { paint } from '@/devices/painter';
import { paintPicture } from '@/devices/picture-painter';
import { print } from '@/devices/printer';
import { sheetToPng } from '@/print/sheet-png';
import sharp from 'sharp';
import { dpiFor, jpegOf, paintedSheet, sheetWithDabs } from '../bench/stage';

/** Megapixels of photographs of which it does not matter how large they are, and of those in a pile of many. */
const SMALLER = 4;
const OF_MANY = 3;

/** A plain picture: kinds that are judged by eye take any, others miss their sheet in it. */
export const greySheet = (background = '#8a8a8a'): Promise<Buffer> =>
  sharp({ create: { width: 1600, height: 1200, channels: 3, background } })
    .jpeg()
    .toBuffer();

/** A phone photograph of a painted sheet of that exercise: stored on its side, with a place in it. */
export async function handInPhotograph(
  exercise: string,
  paint: 'too-close' | 'fine',
  seed: number,
  megapixels = SMALLER,
): Promise<Buffer> {
  const ids = { exercise, student: null };
  const plan = planFor(paint, 9, seed);
  const sheet = await paintedSheet(9, 'a4', plan, seed, 'nominal', ids, false, dpiFor(megapixels));
  return jpegOf(sheet, 'window', seed, megapixels, { orientation: 6, location: true });
}

/** Two thirds of a sheet, its fourth step painted too dark. */
export async function partlyPainted(exercise: string, seed: number): Promise<Buffer> {
  const plan = planFor('fine', 9, seed);
  const sheet = await paintedSheet(9, 'a4', plan, seed, 'nominal', { exercise, student: null }, false, dpiFor(SMALLER));
  const lightness = plan.lightness.slice(0, 6).map((l, i) => (i === 3 ? l - 9 : l));
  const { surface } = paint(sheet.blank, sheet.layout.cells.slice(0, 6), { lightness, faults: [] }, seed);
  return jpegOf({ ...sheet, surface }, 'studio', seed, SMALLER);
}

/** A sheet of a class in a pile, as a scanner's or a phone's smaller picture. */
export async function pilePhotograph(
  ids: { exercise: string | null; student: string | null },
  camera: CameraCondition,
  seed: number,
): Promise<Buffer> {
  const sheet = await paintedSheet(9, 'a4', planFor('fine', 9, seed), seed, 'nominal', ids, false, dpiFor(OF_MANY));
  return jpegOf(sheet, camera, seed, OF_MANY);
}

/** The same phone’s photograph of a sheet with one test dab on it. */
export async function dabPhotograph(exercise: string, dab: number, lightness: number): Promise<Buffer> {
  const sheet = await sheetWithDabs(9, 'a4', new Map([[dab, lightness]]), 77 + lightness, { exercise, student: null });
  return jpegOf(sheet, 'studio', 77, SMALLER, { orientation: 6, location: true });
}

/** A painting in two tones from a picture of them, one of its middling shapes left in the light. */
export async function notanPhotograph(
  exercise: string,
  tones: Buffer,
  seed: number,
  student: string | null = null,
): Promise<Buffer> {
  const { data, info } = await sharp(tones).toColourspace('b-w').raw().toBuffer({ resolveWithObject: true });
  const { width, height } = info;
  const wanted = Uint8Array.from(data, (v) => (v > 128 ? 1 : 2));
  const { shapes, shapeOf } = toneShapes(wanted, width);
  const lost = shapes.findIndex(
    (s) => s.tone === 2 && s.places / wanted.length > 0.015 && s.places / wanted.length < 0.2,
  );
  return tonesPhotograph(
    exercise,
    { width, height, toneOf: wanted.map((t, i) => (shapeOf[i] === lost ? 1 : t)) },
    [93, 26],
    null,
    seed,
    student,
  );
}

/** A jug, two eggs and a book on a table before a wall, as PNG. */
export function stillLife(): Promise<Buffer> {
  const svg =
    '<svg xmlns="http://www.w3.org/2000/svg" width="600" height="480">' +
    '<rect width="100%" height="100%" fill="#5a5a5a"/><rect y="290" width="100%" height="190" fill="#a0a0a0"/>' +
    '<path d="M90 140 h110 l20 210 h-150 z" fill="#303030"/><ellipse cx="300" cy="370" rx="62" ry="44" fill="#e4e4e4"/>' +
    '<ellipse cx="420" cy="330" rx="46" ry="34" fill="#c8c8c8"/>' +
    '<path d="M470 180 l90 20 v130 l-90 -20 z" fill="#787878"/></svg>';
  return sharp(Buffer.from(svg)).png().toBuffer();
}

/** The grey of the still life's book: no other thing has it. */
const BOOK = 0x78;

interface Painted {
  /** What becomes of what is wanted, L*. */
  readonly value?: (wanted: number) => number;
  /** By how much the book is too light, L*. */
  readonly book?: number;
  /** Any colour for any shape, each as light as it should be. */
  readonly colours?: boolean;
  /** Whose sheet it is, where its code says so. */
  readonly student?: string | null;
}

/** A painting of the still life in all its values, its book too light unless said. */
export async function valuesPhotograph(
  exercise: string,
  picture: Buffer,
  seed: number,
  { value = (l) => l, book = 16, colours = false, student = null }: Painted = {},
): Promise<Buffer> {
  const terms = defaultTerms(colours ? 'free-colour' : 'monochrome-painting');
  const { data, info } = await sharp(picture)
    .removeAlpha()
    .toColourspace('b-w')
    .raw()
    .toBuffer({ resolveWithObject: true });
  const { width, height } = info;
  const codes = Uint8Array.from({ length: width * height }, (_, i) => data[i * info.channels] as number);
  const lightness = Float32Array.from(codes, (c) => luminanceToLightness(LINEAR_OF_CODE[c] as number));
  const { of } = valueMap(valueSpan(lightness), { ends: terms.ends, key: 'full', pushPercent: 0 });
  const layout = exerciseLayout(terms);
  const [cell] = layout.cells;
  if (!cell) throw new Error('The sheet has no frame.');
  const sheet = drawExerciseSheet(terms, sampleWords({ exercise, student }));
  const printed = await print(await sheetToPng(sheet, 200), 'nominal', seed);
  const shapeOf = codes.map((c) => (Math.abs(c - BOOK) < 4 ? 1 : 1 + (c >> 4)));
  const hues = new Float32Array(2 * shapeOf.length);
  if (colours) shapeOf.forEach((shape, i) => hues.set([14 * Math.cos(2 * shape), 14 * Math.sin(2 * shape)], 2 * i));
  const { surface } = paintPicture(
    printed.surface,
    cell,
    { width, height, lightness, shapeOf, hues },
    {
      whole: AS_IT_IS,
      moves: [],
      stray: 0.001,
      smallest: 0.006,
      unsure: 0.4,
      value: (l) => value(of(l)),
      mistaken: new Map([[1, book]]),
      ground: 80,
      streaks: 0.3,
    },
    seed,
  );
  return photograph(surface, layout, shotFor('window', layout, seed, SMALLER), seed);
}

/** A jug that is dark all over on a light table before a middle wall, in three tones, with a frame painted round it. */
export function lifePhotograph(exercise: string, seed: number): Promise<Buffer> {
  const [width, height] = [600, 500];
  const toneOf = Uint8Array.from({ length: width * height }, (_, i) => {
    const [x, y] = [(i % width) / width, Math.floor(i / width) / height];
    return x > 0.35 && x < 0.65 && y > 0.25 && y < 0.8 ? 3 : y > 0.6 ? 1 : 2;
  });
  return tonesPhotograph(exercise, { width, height, toneOf }, [93, 60, 40], { mm: 8, lightness: 22 }, seed);
}

async function tonesPhotograph(
  exercise: string,
  map: ToneMap,
  lightness: readonly number[],
  frame: NotanPlan['frame'],
  seed: number,
  student: string | null = null,
): Promise<Buffer> {
  const terms = defaultTerms('notan');
  const layout = exerciseLayout(terms);
  const words = sampleWords({ exercise, student });
  const printed = await print(await sheetToPng(drawExerciseSheet(terms, words), 200), 'nominal', seed);
  const [cell] = layout.cells;
  if (!cell) throw new Error('The sheet has no frame.');
  const { surface } = paintTones(
    printed.surface,
    cell,
    map,
    { lightness, ragged: 0.002, shift: { x: 0, y: 0 }, streaks: 0.5, frame },
    seed,
  );
  return photograph(surface, layout, shotFor('window', layout, seed, SMALLER), seed);
}
