/** One trial of the bench: a sheet is printed, painted, photographed and measured. Runs in a worker thread. */
import { reflectances } from '@/core/capture/calibration';
import type { CardReadings } from '@/core/capture/card-profile';
import { type KnownCard, openSheet } from '@/core/capture/open-sheet';
import { sampleBox } from '@/core/capture/sample';
import { luminanceToLightness } from '@/core/colour/lab';
import { LUMINANCE_WEIGHTS } from '@/core/colour/xyz';
import { critiqueScale } from '@/core/critique/scale/critique';
import { defaultScale } from '@/core/exercise/scale';
import { boxMm } from '@/core/geometry/box';
import { gaussianBlur } from '@/core/raster/blur';
import type { Photo } from '@/core/raster/photo';
import { measureScale } from '@/core/scale/measure';
import type { OpenCv } from '@/core/vision/opencv';
import { planFor } from '@/devices/paint-conditions';
import type { PaintPlan } from '@/devices/painter';
import { chance } from '@/devices/random';
import { readColours } from '@/devices/reader';
import { decodePhoto } from '@/workers/decoding/decode';
import { loadOpenCv } from '@/workers/decoding/opencv';
import { readQr } from '@/workers/decoding/read-qr';
import { runDrawnTrial } from './drawn-trial';
import { outcomeOf } from './outcome-of';
import { boardPicture, dpiFor, jpegOf, type PaintedSheet, paintedSheet, pixelsOfPlaces } from './stage';
import { quantile } from './tally';
import type { Trial, TrialOutcome } from './trial-outcome';

/** The instrument reads the blank print: every patch, and a bare place beside the code. */
export function instrumentReadings({ blank, layout }: PaintedSheet, seed: number): CardReadings {
  const { xMm, yMm } = layout.qrBox;
  const paper = { xMm: xMm - 12, yMm, widthMm: 10, heightMm: 10 };
  const [bare, ...patches] = readColours(blank, [paper, ...layout.patches, ...layout.chroma], seed);
  return { paper: bare ?? null, patches: new Map(patches.map((lab, i) => [i + 1, lab])) };
}

/** The strip's corners in the photograph, each a pixel or two off, as a hand drags them. */
function stripCorners({ layout }: PaintedSheet, { camera, seed, megapixels = 12 }: Trial): { x: number; y: number }[] {
  const [a, b] = [layout.cells[0], layout.cells.at(-1)];
  if (!a || !b) throw new Error('The sheet has no cells.');
  const own = chance(seed).fork('hand');
  const places = [
    [a.xMm, a.yMm],
    [b.xMm + b.widthMm, a.yMm],
    [b.xMm + b.widthMm, b.yMm + b.heightMm],
    [a.xMm, b.yMm + b.heightMm],
  ] as const;
  return pixelsOfPlaces(layout, camera, seed, megapixels, places).map(({ x, y }) => ({
    x: x + 1.5 * own.gauss(),
    y: y + 1.5 * own.gauss(),
  }));
}

const GRID_MM = 0.5;

/** Straightened and calibrated against painted, both blurred by 1 mm, over the whole sheet but its rim. */
async function pixelError(
  photo: Photo,
  { layout, surface }: PaintedSheet,
  cv: OpenCv,
  card: KnownCard | undefined,
): Promise<number> {
  const opened = await openSheet(
    photo,
    { layoutOn: () => layout, expected: { exercise: null, student: null }, check: () => null, ...(card && { card }) },
    { cv, readQr },
  );
  if (opened.kind !== 'open') return Number.NaN;
  const page = boxMm(4, 4, layout.widthMm - 8, layout.heightMm - 8);
  const samples = sampleBox(photo, opened.calibration.plane, page, GRID_MM);
  const read = reflectances(opened.calibration, samples);
  const y = (rgb: Float32Array) =>
    Float32Array.from({ length: rgb.length / 3 }, (_, i) =>
      LUMINANCE_WEIGHTS.reduce((s, w, c) => s + w * (rgb[3 * i + c] ?? 0), 0),
    );
  const { data, width } = surface.reflectance;
  const perMm = surface.dpi / 25.4;
  const span = Math.round(GRID_MM * perMm);
  const truth = Float32Array.from({ length: samples.columns * samples.rows }, (_, i) => {
    const [cx, cy] = [
      Math.round((page.xMm + (i % samples.columns) * samples.stepXMm) * perMm),
      Math.round((page.yMm + Math.floor(i / samples.columns) * samples.stepYMm) * perMm),
    ];
    let sum = 0;
    for (let v = 0; v < span; v++)
      for (let u = 0; u < span; u++)
        for (let c = 0; c < 3; c++)
          sum += (LUMINANCE_WEIGHTS[c] ?? 0) * (data[((cy + v) * width + cx + u) * 3 + c] ?? 0);
    return sum / (span * span);
  });
  const soft = [y(read), truth].map((p) => gaussianBlur(p, samples.columns, samples.rows, 1 / GRID_MM)) as [
    Float32Array,
    Float32Array,
  ];
  return quantile(
    Array.from(soft[0], (v, i) => Math.abs(luminanceToLightness(v) - luminanceToLightness(soft[1][i] ?? 0))),
    0.95,
  );
}

/** A board: its steps unequal in width, on a table; framed by corner pieces, or by corners that a person drags where no paper shows. */
async function runBoardTrial(trial: Trial, way: 'brackets' | 'corners-bare'): Promise<TrialOutcome> {
  const { steps, camera, printer, seed, megapixels = 12 } = trial;
  const own = chance(seed).fork('board size');
  const [widthMm, heightMm] = [own.between(180, 1200), own.between(150, 1000)];
  const { lightness } = planFor('fine', steps, seed, { light: 95.5, dark: 21 });
  const plan = {
    widthMm,
    heightMm,
    lightness,
    without: seed % 4 === 0 ? ('bottom-right' as const) : null,
    careless: 1,
  };
  const { scene, readings, jpeg } = await boardPicture(plan, camera, seed, printer, megapixels);
  const { cv } = await loadOpenCv();
  const photo = await decodePhoto(jpeg);
  const [x, y] = scene.at;
  const stage = { widthMm: scene.widthMm, heightMm: scene.heightMm, cells: [] };
  const corners = pixelsOfPlaces(stage, camera, seed, megapixels, [
    [x, y],
    [x + widthMm, y],
    [x + widthMm, y + heightMm],
    [x, y + heightMm],
  ]);
  const truths = scene.steps.map((s) => s.lightness);
  const ends = { light: Math.max(...truths), dark: Math.min(...truths) };
  const order = (truths[0] ?? 0) > (truths.at(-1) ?? 0) ? 'light-first' : 'dark-first';
  const result = await measureScale(
    photo,
    {
      terms: {
        ...defaultScale('gouache', steps),
        order,
        ends: ends.light - ends.dark >= 20 ? ends : { light: 96, dark: 20 },
      },
      expected: { exercise: null, student: null },
      target: way === 'brackets' ? { kind: 'brackets', depthMm: 0 } : { kind: 'corners', corners },
      ...(trial.card && { card: { basis: trial.card, readings } }),
    },
    { cv, readQr },
  );
  return outcomeOf(
    trial,
    result,
    truths.map((l) => ({ lightness: l, a: 0, b: 0 })),
  );
}

/** The plan with a colour on each step, as strong as its lightness allows. */
function coloured(plan: PaintPlan, seed: number): PaintPlan {
  const own = chance(seed).fork('colours');
  const drift = plan.lightness.map((lightness, i) => {
    const [hue, most] = [own.between(0, 2 * Math.PI), Math.min(38, 0.7 * lightness, 2.2 * (100 - lightness))];
    const chroma = own.between(0.2, 1) * most;
    return { kind: 'drift' as const, step: i + 1, a: chroma * Math.cos(hue), b: chroma * Math.sin(hue) };
  });
  return { ...plan, faults: [...plan.faults, ...drift] };
}

export default async function runTrial(trial: Trial): Promise<TrialOutcome> {
  if (trial.drawn) return runDrawnTrial({ ...trial, drawn: trial.drawn });
  if (trial.way === 'brackets' || trial.way === 'corners-bare') return runBoardTrial(trial, trial.way);
  const { steps, paper, paint, camera, printer, seed } = trial;
  const plan = typeof paint === 'string' ? planFor(paint, steps, seed) : paint;
  const sheet = await paintedSheet(
    steps,
    paper,
    trial.hue ? coloured(plan, seed) : plan,
    seed,
    printer,
    undefined,
    trial.hue,
    dpiFor(trial.megapixels ?? 12),
  );
  const photo = await decodePhoto(await jpegOf(sheet, camera, seed, trial.megapixels));
  const { cv } = await loadOpenCv();
  const terms = defaultScale('gouache', trial.expectedSteps ?? steps);
  const target =
    trial.way === 'corners'
      ? { kind: 'corners' as const, corners: stripCorners(sheet, trial) }
      : { kind: 'sheet' as const };
  const truths = sheet.truth.steps.map((s) => s.lightness);
  const request = {
    // Relative readings hang on the ends that the person names: here the true ones.
    terms:
      trial.way === 'corners' ? { ...terms, ends: { light: Math.max(...truths), dark: Math.min(...truths) } } : terms,
    target,
    hue: trial.hue ?? false,
    expected: { exercise: trial.expectedExercise ?? 'ex1', student: 'st1' },
    ...(trial.card && { card: { basis: trial.card, readings: instrumentReadings(sheet, seed) } }),
  };
  const result = await measureScale(photo, request, { cv, readQr });
  const fixes = critiqueScale(result, terms, 'white-is-one').flatMap((f) =>
    f.kind === 'fix' ? [`${f.code}: ${f.where.steps.join(' ')}`] : [],
  );
  const pixels = trial.pixels && result.capture.accepted ? await pixelError(photo, sheet, cv, request.card) : null;
  return outcomeOf(trial, result, sheet.truth.steps, { fixes, pixels });
}
