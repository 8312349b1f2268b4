/** A scanned painting against its reference: the one lies on all of the other. */
import { loadOpenCv } from '@/workers/decoding/opencv';
import { readQr } from '@/workers/decoding/read-qr';
import { lightnessToGreyCode } from '../colour/grey-code';
import { uprightPhoto } from '../raster/photo';
import { raster } from '../raster/raster';
import { measureNotan } from './measure-notan';

const { cv } = await loadOpenCv();
const [W, H] = [900, 640];
const ends = { light: 95, dark: 24 };

/** A scan of a reference painted place by place, twice as large. */
function scan(toneOf: (x: number, y: number) => number, lightness: readonly number[]) {
  const codes = lightness.map(lightnessToGreyCode);
  const data = new Uint8Array(4 * W * H * 3);
  for (let i = 0; i < 4 * W * H; i++)
    data.fill(codes[toneOf((i % (2 * W)) >> 1, Math.floor(i / (2 * W)) >> 1) - 1] as number, 3 * i, 3 * i + 3);
  return uprightPhoto(raster('srgb8', 2 * W, 2 * H, 3, data));
}

async function measured(wanted: (x: number, y: number) => number, drawn: typeof wanted, lightness: readonly number[]) {
  const reference = {
    width: W,
    height: H,
    toneOf: Uint8Array.from({ length: W * H }, (_, i) => wanted(i % W, Math.floor(i / W))),
  };
  const { result } = await measureNotan(
    scan(drawn, lightness),
    { reference, tones: lightness.length, ends, target: { kind: 'scan' }, expected: { exercise: null, student: null } },
    { cv, readQr },
  );
  return result;
}

test('many outlines, up to the very edge, lie where the reference has them', async () => {
  // Off by four places at the edges, as little as a hand strays, a tenth of these stripes would be.
  const stripes = (x: number) => (Math.floor(x / 18) % 2) + 1;
  const result = await measured(stripes, stripes, [95, 24]);
  expect(result.agreement).toBeGreaterThan(0.99);
  expect(result.shift).toEqual({ x: 0, y: 0 });
  result.tones.forEach((t) => expect(Math.abs(t.share - 0.5)).toBeLessThan(0.005));
});

test('a flipped shape counts as much as it covers, at the edge too', async () => {
  const wanted = (x: number, y: number) => (x > 300 && x < 600 && y > 200 && y < 450 ? 3 : y > 400 ? 2 : 1);
  const drawn = (x: number, y: number) => (x < 120 && y < 200 ? 3 : wanted(x, y));
  const result = await measured(wanted, drawn, [95, 60, 24]);
  const flipped = (120 * 200) / (W * H);
  expect(result.agreement).toBeCloseTo(1 - flipped, 2);
  expect(result.regions).toHaveLength(1);
  expect(result.regions[0]).toMatchObject({ drawn: 3, wanted: 1 });
  expect(result.regions[0]?.area).toBeCloseTo(flipped, 2);
});
