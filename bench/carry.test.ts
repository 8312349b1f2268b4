/** A card carried over: a new print photographed beside one that an instrument has read, against the instrument on the new one. */
import { WrongCard } from '@/core/capture/card-profile';
import { CantCarry, carryCard, type Side } from '@/core/capture/carry-card';
import { uprightPhoto } from '@/core/raster/photo';
import { raster } from '@/core/raster/raster';
import { expose } from '@/devices/camera';
import { type CameraCondition } from '@/devices/condition-names';
import { shotFor } from '@/devices/camera-conditions';
import type { Surface } from '@/devices/reflectance';
import { loadOpenCv } from '@/workers/decoding/opencv';
import { readQr } from '@/workers/decoding/read-qr';
import { type PaintedSheet, paintedSheet } from './stage';
import { instrumentReadings } from './trial';

const PLAN = { lightness: [95, 80, 60, 40, 24], faults: [] };
const GAP_MM = 14;
const MEGAPIXELS = 5;
const { cv } = await loadOpenCv();

/** Two prints side by side on a dark table, as one surface. */
function sideBySide(left: PaintedSheet, right: PaintedSheet): { surface: Surface; widthMm: number; heightMm: number } {
  const [a, b] = [left.blank, right.blank];
  const perMm = a.dpi / 25.4;
  const gap = Math.round(GAP_MM * perMm);
  const [width, height] = [a.reflectance.width + gap + b.reflectance.width, a.reflectance.height];
  const data = new Float32Array(width * height * 3).fill(0.12);
  for (let y = 0; y < height; y++) {
    const row = (s: Surface) =>
      s.reflectance.data.subarray(y * s.reflectance.width * 3, (y + 1) * s.reflectance.width * 3);
    data.set(row(a), y * width * 3);
    data.set(row(b), (y * width + a.reflectance.width + gap) * 3);
  }
  return {
    surface: { reflectance: raster('linear', width, height, 3, data), dpi: a.dpi },
    widthMm: width / perMm,
    heightMm: height / perMm,
  };
}

let [known, fresh]: PaintedSheet[] = [];
beforeAll(async () => {
  known = await paintedSheet(5, 'a4', PLAN, 521, 'nominal', undefined, false, 200);
  fresh = await paintedSheet(5, 'a4', PLAN, 528, 'office', undefined, false, 200);
});

function photographed(condition: CameraCondition, seed: number, side: Side) {
  if (!known || !fresh) throw new Error('The sheets are not there.');
  const { surface, widthMm, heightMm } = side === 'left' ? sideBySide(known, fresh) : sideBySide(fresh, known);
  const stage = { widthMm, heightMm, cells: [] };
  const shot = shotFor(condition, stage, seed, MEGAPIXELS);
  return uprightPhoto(raster('srgb8', shot.width, shot.height, 3, expose(surface, stage, shot, seed)));
}
const cardOf = (sheet: PaintedSheet | undefined, seed: number) => {
  if (!sheet) throw new Error('The sheet is not there.');
  return instrumentReadings(sheet, seed);
};
const carry = (condition: CameraCondition, seed: number, side: Side) =>
  carryCard(
    photographed(condition, seed, side),
    { card: { basis: 'measured', readings: cardOf(known, 1) }, known: side },
    { cv, readQr },
  );

test.each([
  ['studio', 531, 'left'],
  ['window', 532, 'right'],
] as const)(
  'the new print’s greys come within 1.2 L* in %s light, though its printer is another',
  async (condition, seed, side) => {
    const carried = await carry(condition, seed, side);
    const [truth, old] = [cardOf(fresh, 2), cardOf(known, 3)];
    const errors = [...carried.patches].map(([k, lab]) => lab[0] - (truth.patches.get(k)?.[0] ?? 0));
    const between = [...old.patches].map(([k, lab]) => Math.abs(lab[0] - (truth.patches.get(k)?.[0] ?? 0)));
    // The two prints differ by more than the carrying is off, or the test would show nothing.
    expect(Math.max(...between)).toBeGreaterThan(2.5);
    expect(Math.max(...errors.map(Math.abs))).toBeLessThan(1.2);
    expect(Math.abs((carried.paper?.[0] ?? 0) - (truth.paper?.[0] ?? 0))).toBeLessThan(1);
  },
);

test('one sheet alone, and a card that is not that of the known sheet, are told', async () => {
  const shot = shotFor('studio', { ...(known as PaintedSheet).layout }, 541, 4);
  const alone = uprightPhoto(
    raster(
      'srgb8',
      shot.width,
      shot.height,
      3,
      expose((known as PaintedSheet).blank, (known as PaintedSheet).layout, shot, 541),
    ),
  );
  const card = { basis: 'measured' as const, readings: cardOf(known, 1) };
  await expect(carryCard(alone, { card, known: 'left' }, { cv, readQr })).rejects.toThrow(CantCarry);
  await expect(carryCard(alone, { card, known: 'left' }, { cv, readQr })).rejects.toThrow('Only one sheet was found');
  const readings = { paper: null, patches: new Map([...card.readings.patches].slice(3)) };
  await expect(
    carryCard(
      photographed('studio', 542, 'left'),
      { card: { basis: 'measured', readings }, known: 'left' },
      { cv, readQr },
    ),
  ).rejects.toThrow(WrongCard);
});
