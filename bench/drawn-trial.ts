/** Bands drawn by hand, painted, photographed and measured: on a sheet, on a board with corner pieces, between marked corners of a sheet. */
import type { CardReadings } from '@/core/capture/card-profile';
import type { Target } from '@/core/capture/target';
import { targetLightnesses } from '@/core/exercise/targets';
import type { TermsOf } from '@/core/exercise/terms';
import { boxCorners, type BoxMm } from '@/core/geometry/box';
import { drawExerciseSheet } from '@/core/handout/exercise-sheet';
import { sampleWords } from '@/core/handout/sample-words';
import { defaultTerms, exerciseLayout } from '@/core/kinds/table';
import { measureBands } from '@/core/scale/measure-bands';
import { paintAreas, type PaintedArea } from '@/devices/area-painter';
import { photograph } from '@/devices/camera';
import { shotFor } from '@/devices/camera-conditions';
import { drawByHand } from '@/devices/hand-drawn-bands';
import { print } from '@/devices/printer';
import { chance } from '@/devices/random';
import { readColours } from '@/devices/reader';
import type { Surface } from '@/devices/reflectance';
import { type Stage } from '@/devices/shot';
import { sheetToPng } from '@/print/sheet-png';
import { decodePhoto } from '@/workers/decoding/decode';
import { loadOpenCv } from '@/workers/decoding/opencv';
import { readQr } from '@/workers/decoding/read-qr';
import { outcomeOf } from './outcome-of';
import { emptyBoard, pixelsOfPlaces } from './stage';
import type { Trial, TrialOutcome } from './trial-outcome';

export interface DrawnTrial extends Trial {
  readonly drawn: TermsOf<'bands'>['motif'];
}

const DPI = 200;
/** Neighbours are painted at least this far apart, L*: nearer ones are nobody's two bands. */
const APART = 4;

interface Scene {
  readonly surface: Surface;
  readonly stage: Stage;
  readonly frame: BoxMm;
  readonly card: CardReadings;
}

async function blankSheet(terms: TermsOf<'bands'>, { printer, seed }: Trial): Promise<Scene> {
  const layout = exerciseLayout(terms);
  const words = sampleWords({ labels: Array.from({ length: terms.steps }, (_, i) => String(i + 1)) });
  const { surface } = await print(await sheetToPng(drawExerciseSheet(terms, words), DPI), printer, seed);
  const paper = { xMm: layout.qrBox.xMm - 12, yMm: layout.qrBox.yMm, widthMm: 10, heightMm: 10 };
  const [bare, ...patches] = readColours(surface, [paper, ...layout.patches], seed);
  const frame = layout.cells[0];
  if (!frame) throw new Error('The sheet has no frame.');
  return {
    surface,
    stage: layout,
    frame,
    card: { paper: bare ?? null, patches: new Map(patches.map((lab, i) => [i + 1, lab])) },
  };
}

async function blankBoard({ printer, seed }: Trial): Promise<Scene> {
  const own = chance(seed).fork('board size');
  const { readings, ...board } = await emptyBoard(
    { widthMm: own.between(250, 900), heightMm: own.between(220, 700) },
    printer,
    seed,
  );
  return { ...board, card: readings };
}

/** What the painter means, step by step: near the targets, in order, and told apart. */
function values(terms: TermsOf<'bands'>, seed: number): number[] {
  const own = chance(seed).fork('bands');
  const out: number[] = [];
  for (const target of targetLightnesses(terms.steps, terms.ends, 'light-first', 'lightness'))
    out.push(Math.min(95, target + 2.5 * own.gauss(), (out.at(-1) ?? 200) - APART));
  return out;
}

/** Something of the student's own in front of the bands: a post. */
const post = ({ xMm, yMm, widthMm, heightMm }: BoxMm, lightness: number): PaintedArea => ({
  rings: [
    [
      [0.3, 0.6],
      [0.42, 0.57],
      [0.45, 1],
      [0.28, 1],
    ].map(([x = 0, y = 0]) => [xMm + x * widthMm, yMm + y * heightMm] as const),
  ],
  lightness,
  waver: 0.3,
  streaks: 0.2,
});

export async function runDrawnTrial(trial: DrawnTrial): Promise<TrialOutcome> {
  const { steps, camera, seed, way, drawn: motif, megapixels = 12 } = trial;
  const silhouettes = seed % 2 === 0 ? ('own' as const) : ('drawn' as const);
  const terms: TermsOf<'bands'> = {
    ...defaultTerms('bands'),
    motif,
    steps,
    outlines: 'own',
    silhouettes,
    brushMm: 4,
    lamp: motif === 'stairwell' ? { x: 0.5, y: 0.48 } : { x: 0.36, y: 0.34 },
  };
  const { surface, stage, frame, card } = way === 'brackets' ? await blankBoard(trial) : await blankSheet(terms, trial);
  const truths = values(terms, seed);
  const bands = drawByHand(motif, frame, terms.lamp, steps, seed).map(({ band, ring }): PaintedArea => ({
    rings: [ring],
    lightness: truths[band - 1] ?? 50,
    waver: 0.4,
    streaks: 0,
  }));
  const painted = paintAreas(surface, silhouettes === 'own' ? [...bands, post(frame, terms.ends.dark)] : bands, seed);
  const photo = await decodePhoto(await photograph(painted, stage, shotFor(camera, stage, seed, megapixels), seed));
  const corners = way === 'corners' ? pixelsOfPlaces(stage, camera, seed, megapixels, boxCorners(frame)) : null;
  const target: Target = corners
    ? { kind: 'corners', corners }
    : way === 'brackets'
      ? { kind: 'brackets', depthMm: 0 }
      : { kind: 'sheet' };
  const { cv } = await loadOpenCv();
  const result = await measureBands(
    photo,
    {
      // Relative readings hang on the ends that the person names: here the true ones.
      terms: corners ? { ...terms, ends: { light: Math.max(...truths), dark: Math.min(...truths) } } : terms,
      expected: { exercise: null, student: null },
      target,
      ...(trial.card && { card: { basis: trial.card, readings: card } }),
    },
    { cv, readQr },
  );
  return outcomeOf(
    trial,
    result,
    truths.map((lightness) => ({ lightness })),
  );
}
