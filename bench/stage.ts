/** A sheet from print to photograph by the simulated devices, for benches and tests. */
import type { CardReadings } from '@/core/capture/card-profile';
import { orderOfWork } from '@/core/exercise/order-of-work';
import type { BoxMm } from '@/core/geometry/box';
import { type BracketPage, bracketPage, drawBrackets } from '@/core/sheet/brackets';
import { drawScaleSheet, type SheetWords } from '@/core/sheet/drawing';
import type { PaperId } from '@/core/sheet/paper';
import { scaleLayout, type ScaleLayout } from '@/core/sheet/scale-layout';
import { type BoardPlan, type BoardScene, layBoard } from '@/devices/board';
import { type FileOptions, photograph } from '@/devices/camera';
import { shotFor } from '@/devices/camera-conditions';
import { type CameraCondition } from '@/devices/condition-names';
import { project } from '@/devices/optics';
import { paint, type PainterTruth, type PaintPlan } from '@/devices/painter';
import { print, type PrinterCondition } from '@/devices/printer';
import { readColours } from '@/devices/reader';
import type { Surface } from '@/devices/reflectance';
import { type Stage } from '@/devices/shot';
import { sheetToPng } from '@/print/sheet-png';

export interface PaintedSheet {
  readonly layout: ScaleLayout;
  /** Before anything was painted. */
  readonly blank: Surface;
  readonly surface: Surface;
  readonly truth: PainterTruth;
}

/** Sheets are printed finer than a photograph of some megapixels can show, and no finer than that needs. */
const SOME_DPI = 200;
export const dpiFor = (megapixels: number): number => (megapixels > 6 ? 300 : SOME_DPI);

const pngs = new Map<string, Buffer>();

type Ids = Pick<SheetWords, 'exercise' | 'student'>;

async function sheetPng(layout: ScaleLayout, dpi: number, ids: Ids): Promise<Buffer> {
  const key = `${layout.steps}-${layout.paper}-${layout.chroma.length}-${dpi}-${ids.exercise}-${ids.student}`;
  let png = pngs.get(key);
  if (!png) {
    const labels = layout.cells.map((c) => String(c.index));
    const words = {
      title: `${layout.steps} greys from white to black`,
      subtitle: 'Tidewell Evening Studio',
      name: 'Sample',
      labels,
      work: orderOfWork(layout.steps, 'light-first', 'ends-first', labels),
      care: '',
      ...ids,
    };
    png = await sheetToPng(drawScaleSheet(layout, words), dpi);
    pngs.set(key, png);
  }
  return png;
}

export async function paintedSheet(
  steps: number,
  paper: PaperId,
  plan: PaintPlan,
  seed: number,
  printer: PrinterCondition = 'nominal',
  ids: Ids = { exercise: 'ex1', student: 'st1' },
  hue = false,
  dpi = 300,
): Promise<PaintedSheet> {
  const layout = scaleLayout(steps, paper, { hue });
  const printed = await print(await sheetPng(layout, dpi, ids), printer, seed);
  const { surface, truth } = paint(printed.surface, layout.cells, plan, seed);
  return { layout, blank: printed.surface, surface, truth };
}

/** A sheet with nothing on it but test dabs; `dabs` are lightnesses by the dab's number. */
export async function sheetWithDabs(
  steps: number,
  paper: PaperId,
  dabs: ReadonlyMap<number, number>,
  seed: number,
  ids: Ids = { exercise: 'ex1', student: 'st1' },
): Promise<PaintedSheet> {
  const layout = scaleLayout(steps, paper);
  const printed = await print(await sheetPng(layout, SOME_DPI, ids), 'nominal', seed);
  const painted = layout.dabs.filter((d) => dabs.has(d.index));
  const lightness = painted.map((d) => dabs.get(d.index) ?? 50);
  const { surface, truth } = paint(
    printed.surface,
    painted.map((d, i) => ({ ...d, index: i + 1 })),
    { lightness, faults: [] },
    seed,
  );
  return { layout, blank: printed.surface, surface, truth };
}

export function jpegOf(
  sheet: PaintedSheet,
  condition: CameraCondition,
  seed: number,
  megapixels = 12,
  file?: FileOptions,
  quality?: number,
): Promise<Buffer> {
  const shot = shotFor(condition, sheet.layout, seed, megapixels);
  return photograph(sheet.surface, sheet.layout, quality === undefined ? shot : { ...shot, quality }, seed, file);
}

export interface BoardPicture {
  readonly scene: BoardScene;
  readonly readings: CardReadings;
  readonly jpeg: Buffer;
}

/** The instrument reads the greys of the pieces, and a bare place of the first. */
function readingsOfPieces(page: BracketPage, printed: Surface, seed: number): CardReadings {
  const [first] = page.brackets;
  if (!first) throw new Error('The page has no corner pieces.');
  const [paper, ...patches] = readColours(
    printed,
    [{ xMm: first.xMm + 8, yMm: first.yMm + 90, widthMm: 12, heightMm: 12 }, ...page.patches],
    seed,
  );
  return { paper: paper ?? null, patches: new Map(patches.map((lab, i) => [i + 1, lab])) };
}

/** A board with corner pieces printed on a machine of its own, photographed; the pieces are read by the instrument too. */
export async function boardPicture(
  plan: BoardPlan,
  condition: CameraCondition,
  seed: number,
  printer: PrinterCondition,
  megapixels = 12,
): Promise<BoardPicture> {
  const page = bracketPage('a4');
  const printed = await print(await sheetToPng(drawBrackets(page), 300), printer, seed);
  const scene = layBoard(printed.surface, page.brackets, plan, seed);
  const stage = { widthMm: scene.widthMm, heightMm: scene.heightMm, cells: [] };
  return {
    scene,
    readings: readingsOfPieces(page, printed.surface, seed),
    jpeg: await photograph(scene.surface, stage, shotFor(condition, stage, seed, megapixels), seed),
  };
}

export interface EmptyBoard {
  readonly surface: Surface;
  readonly stage: Stage;
  /** Where the board lies on it, mm. */
  readonly frame: BoxMm;
  readonly readings: CardReadings;
}

/** A board with nothing on it between its corner pieces, and what the instrument reads of them. */
export async function emptyBoard(
  size: { readonly widthMm: number; readonly heightMm: number },
  printer: PrinterCondition,
  seed: number,
): Promise<EmptyBoard> {
  const page = bracketPage('a4');
  const printed = await print(await sheetToPng(drawBrackets(page), 300), printer, seed);
  const scene = layBoard(
    printed.surface,
    page.brackets,
    { ...size, lightness: [90], without: null, careless: 1 },
    seed,
  );
  return {
    surface: scene.surface,
    stage: { widthMm: scene.widthMm, heightMm: scene.heightMm, cells: [] },
    frame: { xMm: scene.at[0], yMm: scene.at[1], ...size },
    readings: readingsOfPieces(page, printed.surface, seed),
  };
}

/** Photo pixels of places of a sheet as the shot of its condition shows them. */
export function pixelsOfPlaces(
  stage: Stage,
  condition: CameraCondition,
  seed: number,
  megapixels: number,
  places: readonly (readonly [number, number])[],
): { x: number; y: number }[] {
  const shot = shotFor(condition, stage, seed, megapixels);
  const { toPixel } = project(shot.pose, shot, stage);
  return places.map(([x, y]) => {
    const [px, py] = toPixel(x, y);
    return { x: px, y: py };
  });
}
