/** The renderer against what geometry says, and the rendered references against what is shipped. */
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import sharp from 'sharp';
import { ball, floor } from './distances';
import { PARTS } from './seen';
import { render } from './render';
import type { Scene, Vector } from './scene';
import { STILL_LIFES } from './still-lifes';

const FOLDER = path.resolve('assets/references');
const WIDE = 80;

const small = async (file: string, width: number, height: number, channels: 1 | 3) => {
  const image = sharp(file).resize({ width, height, fit: 'fill', kernel: 'cubic' });
  return (channels === 1 ? image.toColourspace('b-w') : image.toColourspace('srgb')).raw().toBuffer();
};

/** A ball on a floor under a lamp, of which school geometry says what every pixel shows. */
const BALL = { at: [0.2, 1, 0], r: 1 } as const;
const LAMP = [4, 6, 3] as const;
const plainScene: Scene = {
  name: 'ball',
  title: 'A ball on a floor',
  things: [
    { name: 'floor', distance: floor(0), colour: [0.5, 0.5, 0.5] },
    { name: 'ball', distance: ball(...BALL.at, BALL.r), colour: [0.5, 0.5, 0.5] },
  ],
  eye: [0, 3, 7],
  at: [0, 0.5, 0],
  view: 40,
  aspect: 4 / 3,
  light: { at: LAMP, size: 0.05, colour: [1, 1, 1] },
  sky: () => [0, 0, 0],
  exposure: 1,
  ways: 1,
};

test('what each pixel shows, and whether the light reaches it, is what geometry says of a ball on a floor', () => {
  const own = render(plainScene, 96, { atEdges: 1, ways: 1 });
  const dot = (a: Vector, b: Vector) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
  const less = (a: Vector, b: Vector): Vector => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
  const unit = (a: Vector): Vector => [
    a[0] / Math.sqrt(dot(a, a)),
    a[1] / Math.sqrt(dot(a, a)),
    a[2] / Math.sqrt(dot(a, a)),
  ];
  /** Where a ray meets the ball first; null where it passes by, or behind. */
  const meets = (from: Vector, by: Vector): number | null => {
    const off = less(from, BALL.at);
    const half = dot(off, by);
    const under = half * half - (dot(off, off) - BALL.r * BALL.r);
    const t = -half - Math.sqrt(Math.max(0, under));
    return under >= 0 && t > 1e-6 ? t : null;
  };
  const { eye, at, view } = plainScene;
  const ahead = unit(less(at, eye));
  const right = unit([-ahead[2], 0, ahead[0]]);
  const up: Vector = [
    right[1] * ahead[2] - right[2] * ahead[1],
    right[2] * ahead[0] - right[0] * ahead[2],
    right[0] * ahead[1] - right[1] * ahead[0],
  ];
  const tall = Math.tan(((view / 2) * Math.PI) / 180);
  let [compared, wrongThing, wrongLight] = [0, 0, 0];
  for (let i = 0; i < own.width * own.height; i++) {
    const sx = (((i % own.width) + 0.5) / own.width) * 2 - 1;
    const sy = 1 - ((Math.floor(i / own.width) + 0.5) / own.height) * 2;
    const by = unit(
      [0, 1, 2].map(
        (c) =>
          (ahead[c] as number) +
          sx * tall * (own.width / own.height) * (right[c] as number) +
          sy * tall * (up[c] as number),
      ) as unknown as Vector,
    );
    const toBall = meets(eye, by);
    const toFloor = by[1] < 0 ? -eye[1] / by[1] : null;
    const t = toBall ?? toFloor;
    // Near the horizon the floor is too far to be anything.
    if (t === null || t > 60) continue;
    const place: Vector = [eye[0] + t * by[0], eye[1] + t * by[1], eye[2] + t * by[2]];
    const toLamp = unit(less(LAMP, place));
    const lit = toBall === null ? meets(place, toLamp) === null : dot(less(place, BALL.at), toLamp) > 0;
    compared++;
    if (own.thingOf[i] !== (toBall === null ? 1 : 2)) wrongThing++;
    const part = PARTS[own.partOf[i] as number];
    if ((part !== 'shadow' && part !== 'cast-shadow') !== lit) wrongLight++;
  }
  expect(compared).toBeGreaterThan(5000);
  // Outlines may fall to either side by a rounding.
  expect(wrongThing / compared).toBeLessThan(0.003);
  expect(wrongLight / compared).toBeLessThan(0.01);
});

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
