/** Photographs before they are measured: looked at small on the phone, sorted in a pile, opened as a board. */
import { openBoard } from '@/core/capture/open-board';
import { QUICK_PX, quickCheck } from '@/core/capture/quick-check';
import { sortSheets } from '@/core/capture/sort-sheets';
import { type Photo, uprightPhoto } from '@/core/raster/photo';
import { raster } from '@/core/raster/raster';
import { bracketPage, drawBrackets } from '@/core/sheet/brackets';
import { scaleLayout } from '@/core/sheet/scale-layout';
import { type BoardPlan, type CutPiece, layBoard } from '@/devices/board';
import { expose } from '@/devices/camera';
import { type CameraCondition, UNUSABLE } from '@/devices/condition-names';
import { shotFor } from '@/devices/camera-conditions';
import { planFor } from '@/devices/paint-conditions';
import { print } from '@/devices/printer';
import { sheetToPng } from '@/print/sheet-png';
import { loadOpenCv } from '@/workers/decoding/opencv';
import { readQr } from '@/workers/decoding/read-qr';
import { type PaintedSheet, paintedSheet } from './stage';

const SEED = 411;
const { cv } = await loadOpenCv();
let sheet: PaintedSheet;
beforeAll(async () => {
  sheet = await paintedSheet(9, 'a4', planFor('fine', 9, SEED), SEED);
});

function photoOf(condition: CameraCondition, megapixels: number): Photo {
  const shot = shotFor(condition, sheet.layout, SEED, megapixels);
  return uprightPhoto(raster('srgb8', shot.width, shot.height, 3, expose(sheet.surface, sheet.layout, shot, SEED)));
}

/** A phone's photograph is twelve megapixels; its copy is as the browser makes it. */
const REDUCED_BY = 4000 / QUICK_PX;
const COPY_MEGAPIXELS = 12 / REDUCED_BY ** 2;
const issuesOf = (copy: Photo) => quickCheck(cv, copy, REDUCED_BY, (paper) => scaleLayout(9, paper));
const quick = (condition: CameraCondition) => issuesOf(photoOf(condition, COPY_MEGAPIXELS)).map((i) => i.code);

test.each(['studio', 'window', 'tilted', 'haze'] as const)(
  'a small copy of a good photograph (%s) is not held back',
  (condition) => {
    expect(quick(condition)).toEqual([]);
  },
);

test.each(['burnt', 'dark', 'far', 'steep', 'no-sheet', 'close-lamp'] as const)(
  'a small copy tells at once what %s would be refused for',
  (condition) => {
    expect(quick(condition)).toContain(UNUSABLE[condition]);
  },
);

test('of a sheet so far away that its markers are specks in the small copy it says to go nearer', () => {
  const issues = issuesOf(photoOf('far', COPY_MEGAPIXELS / 4));
  expect(issues.map((i) => i.code)).toEqual(['no_target']);
  expect(issues[0]?.say).toMatch(/near/);
});

test('two sheets in one picture are told apart, each with its code and its own corners', async () => {
  const { sheets, say } = await sortSheets(photoOf('two-sheets', 8), { cv, readQr });
  expect(say).toBeNull();
  expect(sheets.map((s) => [s.tag?.exercise, s.tag?.student])).toEqual([
    ['ex1', 'st1'],
    ['ex1', 'st1'],
  ]);
  const middles = sheets.map((s) => s.corners.reduce((sum, c) => sum + c.x, 0) / 4).sort((a, b) => a - b);
  const wide =
    Math.max(...(sheets[0]?.corners.map((c) => c.x) ?? [])) - Math.min(...(sheets[0]?.corners.map((c) => c.x) ?? []));
  expect((middles[1] ?? 0) - (middles[0] ?? 0)).toBeGreaterThan(0.9 * wide);
});

test('a picture without a sheet says why it can’t be sorted', async () => {
  const { sheets, say } = await sortSheets(photoOf('no-sheet', 2), { cv, readQr });
  expect(sheets).toEqual([]);
  expect(say).toMatch(/[Nn]o worksheet/);
});

const page = bracketPage('a4');
const plan: BoardPlan = {
  widthMm: 420,
  heightMm: 300,
  lightness: planFor('fine', 5, SEED).lightness,
  without: null,
  careless: 1,
};

let printed: Awaited<ReturnType<typeof print>>;
beforeAll(async () => {
  printed = await print(await sheetToPng(drawBrackets(page), 200), 'nominal', SEED);
});

function board(pieces: readonly CutPiece[], condition: CameraCondition = 'studio') {
  const scene = layBoard(printed.surface, pieces, plan, SEED);
  const stage = { widthMm: scene.widthMm, heightMm: scene.heightMm, cells: [] };
  const shot = shotFor(condition, stage, SEED, 3);
  const photo = uprightPhoto(raster('srgb8', shot.width, shot.height, 3, expose(scene.surface, stage, shot, SEED)));
  const opened = openBoard(photo, { depthMm: 0 }, cv);
  return { opened, codes: opened.issues.map((i) => i.code), said: opened.issues.map((i) => i.say).join(' ') };
}

test('a board of four pieces opens, and its size comes out to 2 mm', () => {
  const { opened, codes } = board(page.brackets);
  expect(codes).toEqual([]);
  expect(Math.abs((opened.board?.widthMm ?? 0) - plan.widthMm)).toBeLessThan(2);
  expect(Math.abs((opened.board?.heightMm ?? 0) - plan.heightMm)).toBeLessThan(2);
});

test('two pieces are too few, none is no board, and pieces in each other’s corners are told', () => {
  const two = board(page.brackets.filter((b) => b.corner.startsWith('top')));
  expect(two.codes).toContain('cut_off');
  expect(two.said).toContain('Only 2 of the four');
  expect(board([]).codes).toEqual(['no_target']);
  const [a, b, c, d] = page.brackets;
  if (!a || !b || !c || !d) throw new Error('Four pieces were expected.');
  // The pieces of the left and of the right changed places, each turned as its new corner wants it.
  const changed = [
    { ...b, corner: a.corner },
    { ...a, corner: b.corner },
    { ...d, corner: c.corner },
    { ...c, corner: d.corner },
  ];
  const wrong = board(changed);
  expect(wrong.codes).toEqual(['wrong_sheet']);
  expect(wrong.said).toContain('wrong corners');
});

test('a board that is too small in the picture is told', () => {
  expect(board(page.brackets, 'far').codes).not.toEqual([]);
});
