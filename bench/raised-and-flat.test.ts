/** What a second piece of knowledge is worth: how far a canvas stands off the table, and how the light falls on the sheet when it is blank. */
import { openBoard } from '@/core/capture/open-board';
import { toPhoto } from '@/core/capture/plane';
import { defaultScale } from '@/core/exercise/scale';
import { uprightPhoto } from '@/core/raster/photo';
import { raster } from '@/core/raster/raster';
import { measureScale } from '@/core/scale/measure';
import { bracketPage, drawBrackets } from '@/core/sheet/brackets';
import { layBoard } from '@/devices/board';
import { expose } from '@/devices/camera';
import { type Shot, type Stage } from '@/devices/shot';
import { shotFor } from '@/devices/camera-conditions';
import { project } from '@/devices/optics';
import { planFor } from '@/devices/paint-conditions';
import { print } from '@/devices/printer';
import type { Surface } from '@/devices/reflectance';
import { sheetToPng } from '@/print/sheet-png';
import { loadOpenCv } from '@/workers/decoding/opencv';
import { readQr } from '@/workers/decoding/read-qr';
import { paintedSheet } from './stage';

const MEGAPIXELS = 3;
const photoOf = (surface: Surface, stage: Stage, shot: Shot, seed: number) =>
  uprightPhoto(raster('srgb8', shot.width, shot.height, 3, expose(surface, stage, shot, seed)));

test('the face of a canvas that stands 30 mm off the table is found where it is once its depth is said', async () => {
  const seed = 301;
  const HEIGHT = 30;
  const [widthMm, heightMm] = [420, 320];
  const page = bracketPage('a4');
  const printed = await print(await sheetToPng(drawBrackets(page), 200), 'nominal', seed);
  const scene = layBoard(
    printed.surface,
    page.brackets,
    { widthMm, heightMm, lightness: planFor('fine', 5, seed).lightness, without: null, careless: 0 },
    seed,
  );
  const stage = { widthMm: scene.widthMm, heightMm: scene.heightMm, cells: [] };
  const [x, y] = scene.at;
  const plain = shotFor('studio', stage, seed, MEGAPIXELS);
  const photo = photoOf(
    scene.surface,
    stage,
    { ...plain, raised: { from: [x, y], to: [x + widthMm, y + heightMm], heightMm: HEIGHT } },
    seed,
  );
  const { cv } = await loadOpenCv();
  const projection = project(plain.pose, plain, stage);
  const { eye } = projection;
  /** Where the camera sees a place of the face: through the place of the table that lies behind it. */
  const seen = (px: number, py: number) => {
    const k = HEIGHT / eye[2];
    return projection.toPixel((x + px - eye[0] * k) / (1 - k), (y + py - eye[1] * k) / (1 - k));
  };
  const corners = [
    [0, 0],
    [widthMm, 0],
    [widthMm, heightMm],
    [0, heightMm],
  ] as const;
  const farthest = (depthMm: number) => {
    const opened = openBoard(photo, { depthMm }, cv);
    if (opened.kind !== 'open') throw new Error(opened.issues.map((i) => i.say).join(' '));
    const perMm = plain.width / stage.widthMm;
    return Math.max(
      ...corners.map(([px, py]) => {
        const at = toPhoto(
          opened.calibration.plane,
          (px / widthMm) * opened.board.widthMm,
          (py / heightMm) * opened.board.heightMm,
        );
        const want = seen(px, py);
        return Math.hypot(at.x - want[0], at.y - want[1]) / perMm;
      }),
    );
  };
  expect(farthest(HEIGHT)).toBeLessThan(2.5);
  expect(farthest(0)).toBeGreaterThan(4);
});

test('light so uneven that a photograph is refused is read with the help of the sheet blank in the same light', async () => {
  const seed = 311;
  const sheet = await paintedSheet(9, 'a4', planFor('fine', 9, seed), seed);
  const shot = shotFor('close-lamp', sheet.layout, seed, MEGAPIXELS);
  const photo = photoOf(sheet.surface, sheet.layout, shot, seed);
  // The hand that holds the phone is not the same twice.
  const flat = photoOf(
    sheet.blank,
    sheet.layout,
    { ...shot, pose: shotFor('close-lamp', sheet.layout, seed + 50, MEGAPIXELS).pose },
    seed + 1,
  );
  const { cv } = await loadOpenCv();
  const request = { terms: defaultScale('gouache', 9), expected: { exercise: null, student: null } };
  const alone = await measureScale(photo, request, { cv, readQr });
  expect(alone.capture.issues.map((i) => i.code)).toContain('uneven_light');
  const helped = await measureScale(photo, { ...request, flat }, { cv, readQr });
  expect(helped.capture.issues.map((i) => i.code).filter((c) => c !== 'outside_card')).toEqual([]);
  const errors = helped.steps.map((s, i) => Math.abs(s.lightness - (sheet.truth.steps[i]?.lightness ?? 0)));
  expect(Math.max(...errors)).toBeLessThan(1.5);
});
