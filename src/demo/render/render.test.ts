/** The rendered references: one is made anew, small, and compared with what is shipped. */
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import sharp from 'sharp';
import { PARTS, render } from './march';
import { STILL_LIFES } from './still-lifes';

const FOLDER = path.resolve('assets/references');
const WIDE = 80;

const small = async (file: string, width: number, height: number, channels: 1 | 3) => {
  const image = sharp(file).resize({ width, height, fit: 'fill', kernel: 'cubic' });
  return (channels === 1 ? image.toColourspace('b-w') : image.toColourspace('srgb')).raw().toBuffer();
};

test('a scene rendered anew shows the same picture, and the light reaches the same places', async () => {
  const scene = STILL_LIFES().find((s) => s.name === 'jug-and-eggs')!;
  const own = render(scene, WIDE, { atEdges: 2, ways: 0.5 });
  const folder = path.join(FOLDER, scene.name);
  const picture = await small(path.join(folder, 'picture.jpg'), own.width, own.height, 3);
  const off = own.codes.reduce((s, v, i) => s + Math.abs(v - (picture[i] as number)), 0) / own.codes.length;
  expect(off).toBeLessThan(12);
  const light = await small(path.join(folder, 'light.png'), own.width, own.height, 1);
  const lit = own.partOf.map((p) => (PARTS[p] === 'shadow' || PARTS[p] === 'cast-shadow' ? 0 : 255));
  expect(lit.reduce((s, v, i) => s + (Math.abs(v - (light[i] as number)) > 127 ? 1 : 0), 0) / lit.length).toBeLessThan(
    0.03,
  );
});

test('six references are shipped at 1600 pixels, each with its masks; light and shadow fill the picture between them', async () => {
  const names = readdirSync(FOLDER);
  expect(names.length).toBeGreaterThanOrEqual(6);
  for (const name of names) {
    const at = (file: string) => path.join(FOLDER, name, file);
    const { width = 0, height = 0 } = await sharp(at('picture.jpg')).metadata();
    expect(Math.max(width, height)).toBe(1600);
    const [light, shadow, cast, halftone, things] = await Promise.all(
      ['light', 'shadow', 'cast-shadow', 'halftone', 'things'].map((m) =>
        sharp(at(`${m}.png`))
          .toColourspace('b-w')
          .raw()
          .toBuffer(),
      ),
    );
    const about = JSON.parse(readFileSync(at('about.json'), 'utf8')) as { things: string[] };
    let wrong = 0;
    for (let i = 0; i < width * height; i++) {
      const [l, s] = [light![i]! > 127, shadow![i]! > 127];
      if (l === s || (cast![i]! > 127 && !s) || (halftone![i]! > 127 && !l) || things![i]! > about.things.length)
        wrong++;
    }
    expect(wrong).toBe(0);
  }
});
