/** Pictures in few tones through the command: prepared, and paintings measured against them. */
import { existsSync } from 'node:fs';
import path from 'node:path';
import sharp from 'sharp';
import { testCommand } from './test-command';

const { folder, fairGrey } = testCommand();

/** A picture on one ground, as SVG's shapes. */
const draw = (name: string, ground: string, shapes = '', width = 480, height = 320) =>
  sharp(
    Buffer.from(
      `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}">` +
        `<rect width="100%" height="100%" fill="${ground}"/>${shapes}</svg>`,
    ),
  )
    .png()
    .toFile(path.join(folder, name));

const inTones = (out: string, ...more: string[]) =>
  fairGrey('prepare', 'cup.png', '--tones', '3', '--out', out, '--json', ...more);
/** A dark disc before a table, and the same in three tones. */
let prepared: ReturnType<typeof inTones>;
beforeAll(async () => {
  const table = '<rect y="200" width="100%" height="100%" fill="#777"/>';
  await draw('cup.png', '#f4f4f4', `${table}<circle cx="200" cy="180" r="70" fill="#111"/>`);
  prepared = inTones('tones.png', '--ends', '95,25');
});

test('a picture is prepared in few tones, and what can’t be is told in one line', async () => {
  const { code, json } = prepared;
  expect(code).toBe(0);
  const { thresholds, tones, shapes } = json as {
    thresholds: number[];
    tones: { index: number; lightness: number; share: number }[];
    shapes: { tone: number; area: number }[];
  };
  expect(thresholds).toHaveLength(2);
  expect(tones.map((t) => [t.index, t.lightness])).toEqual([
    [1, 95],
    [2, 60],
    [3, 25],
  ]);
  expect(tones.reduce((s, t) => s + t.share, 0)).toBeCloseTo(1, 9);
  expect(tones[2]?.share).toBeCloseTo((Math.PI * 70 * 70) / (480 * 320), 2);
  expect(shapes[0]?.tone).toBe(1);
  // Squinted at, light eats into the dark.
  const soft = inTones('soft.png', '--squint', '1').json as {
    tones: { share: number }[];
  };
  expect(soft.tones[2]?.share).toBeLessThan(0.95 * (tones[2]?.share ?? 0));
  expect((await sharp(path.join(folder, 'tones.png')).metadata()).width).toBe(480);
  expect(fairGrey('prepare', 'cup.png', '--tones', '13', '--out', 'x.png')).toMatchObject({
    code: 2,
    said: expect.stringContaining('2 to 12 tones') as string,
  });
  await draw('flat.png', '#808080', '', 90, 60);
  expect(fairGrey('prepare', 'flat.png', '--tones', '2', '--out', 'x.png')).toMatchObject({
    code: 2,
    said: expect.stringContaining('only 1 tone') as string,
  });
  await draw('thin.png', '#808080', '', 900, 1);
  expect(fairGrey('prepare', 'thin.png', '--tones', '2', '--out', 'x.png')).toMatchObject({
    code: 2,
    said: expect.stringContaining('at least 32') as string,
  });
  expect(existsSync(path.join(folder, 'x.png'))).toBe(false);
});

test('a painting in few tones is measured against its reference, by thresholds or by a map of light and shadow', async () => {
  const measure = (...more: string[]) =>
    fairGrey('measure', 'notan', 'painting.png', '--reference', 'cup.png', '--scan', ...more, '--json');
  await sharp(path.join(folder, 'tones.png'))
    .resize(960, 640, { kernel: 'nearest' })
    .toFile(path.join(folder, 'painting.png'));
  const { code, json } = measure('--tones', '3');
  expect(code).toBe(0);
  const result = json as {
    capture: { target: string; mode: string; accepted: boolean };
    tones: { index: number; share: number; referenceShare: number }[];
    agreement: number;
    kappa: number;
    regions: unknown[];
    findings: { code: string }[];
  };
  expect(result.capture).toMatchObject({ target: 'scan', mode: 'relative', accepted: true });
  expect(result.tones.map((t) => t.index)).toEqual([1, 2, 3]);
  result.tones.forEach((t) => expect(Math.abs(t.share - t.referenceShare)).toBeLessThan(0.02));
  expect(result.agreement).toBeGreaterThan(0.97);
  expect([result.regions.length, result.findings[0]?.code]).toEqual([0, 'big_shapes']);
  // A map by which the table is in the light: the painting has it darker.
  await draw('map.png', '#fff', '<circle cx="200" cy="180" r="70" fill="#000"/>');
  expect(
    (measure('--tones', '2', '--map', 'map.png').json as { tones: { referenceShare: number }[] }).tones[1]
      ?.referenceShare,
  ).toBeCloseTo((Math.PI * 70 * 70) / (480 * 320), 2);
  expect(measure('--tones', '3', '--thresholds', '70,40')).toMatchObject({
    code: 2,
    said: expect.stringContaining('that rise') as string,
  });
  expect(measure('--tones', '3', '--map', 'map.png')).toMatchObject({
    code: 2,
    said: expect.stringContaining('--tones 2') as string,
  });
  await draw('all-light.png', '#fff');
  expect(measure('--tones', '2', '--map', 'all-light.png')).toMatchObject({
    code: 2,
    said: expect.stringContaining('no shadow') as string,
  });
  // A moon in the dark: what surrounds it is the picture, and no frame round one.
  await draw('moon.png', '#222', '<circle cx="240" cy="160" r="120" fill="#eee"/>');
  const moon = fairGrey('measure', 'notan', 'moon.png', '--reference', 'moon.png', '--tones', '2', '--scan', '--json')
    .json as {
    agreement: number;
    frame: unknown;
  };
  expect(moon.frame).toBeNull();
  expect(moon.agreement).toBeGreaterThan(0.97);
  expect(fairGrey('measure', 'notan', 'painting.png', '--tones', '3')).toMatchObject({
    code: 2,
    said: expect.stringContaining('--reference is needed') as string,
  });
  // A darker frame painted round it is left out, and stands for the dark end where that is asked for.
  await sharp(path.join(folder, 'painting.png'))
    .resize(912, 608, { kernel: 'nearest' })
    .extend({ top: 30, bottom: 30, left: 30, right: 30, background: '#0c0c0c' })
    .toFile(path.join(folder, 'framed.png'));
  const framed = (...more: string[]) =>
    fairGrey('measure', 'notan', 'framed.png', '--reference', 'cup.png', '--tones', '3', '--scan', ...more, '--json')
      .json as {
      agreement: number;
      frame: { lightness: number; isDarkEnd: boolean };
      tones: { lightness: number }[];
    };
  const [plain, byFrame] = [framed(), framed('--dark-end', 'frame')];
  expect([plain.frame.isDarkEnd, byFrame.frame.isDarkEnd]).toEqual([false, true]);
  expect(plain.agreement).toBeGreaterThan(0.97);
  expect(plain.tones[2]?.lightness).toBeCloseTo(20, 0);
  expect(byFrame.frame.lightness).toBeCloseTo(20, 0);
  expect(byFrame.tones[2]?.lightness).toBeGreaterThan(25);
  expect(measure('--tones', '3', '--dark-end', 'black')).toMatchObject({
    code: 2,
    said: expect.stringContaining('--dark-end') as string,
  });
});
