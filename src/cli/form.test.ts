/** Rules of form through the command: against a picture, and from life by the painting's own masses. */
import { writeFileSync } from 'node:fs';
import path from 'node:path';
import sharp from 'sharp';
import { testCommand } from './test-command';

const { folder, fairGrey } = testCommand();
const [WIDE, HIGH] = [600, 480];

/** A block with a light and a dark side on a table, the shadow that it casts, and a window and a ball that stay as they are. */
const GREYS = {
  ground: '#a4a4a4',
  wall: '#747474',
  lit: '#dcdcdc',
  shadow: '#4a4a4a',
  cast: '#505050',
  others: '#303030',
};
const scene = ({ ground, wall, lit, shadow, cast, others }: typeof GREYS) =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDE}" height="${HIGH}"><rect width="100%" height="100%" fill="${ground}"/>` +
  `<rect width="100%" height="240" fill="${wall}"/><rect x="400" y="40" width="150" height="120" fill="${others}"/>` +
  `<circle cx="60" cy="400" r="40" fill="${others}"/>` +
  `<path d="M330 330 h180 l40 40 h-220 z" fill="${cast}"/><rect x="120" y="120" width="120" height="250" fill="${lit}"/>` +
  `<rect x="240" y="120" width="90" height="250" fill="${shadow}"/></svg>`;
const draw = (name: string, svg: string) =>
  sharp(Buffer.from(svg), { density: 144 }).blur(1).png().toFile(path.join(folder, name));

const NONE = { ...GREYS, ground: '#000000', wall: '#000000', others: '#000000' };

beforeAll(async () => {
  await draw('picture.png', scene(GREYS));
  const labels = scene({ ...NONE, lit: '#010101', shadow: '#020202', cast: '#030303' });
  await sharp(Buffer.from(labels.replace('<svg ', '<svg shape-rendering="crispEdges" ')))
    .png()
    .toFile(path.join(folder, 'labels.png'));
  const shapes = [
    { label: 1, name: 'block > light', part: 'lit' },
    { label: 2, name: 'block > dark', part: 'shadow' },
    { label: 3, name: 'block > on the table', part: 'cast' },
  ];
  writeFileSync(path.join(folder, 'shapes.json'), JSON.stringify({ labels: 'labels.png', shapes }));
});

interface Measured {
  readonly registration: object | null;
  readonly rules: readonly {
    readonly code: string;
    readonly object: string | null;
    readonly names: readonly string[];
  }[];
  readonly shapes: readonly { readonly name: string; readonly lightness: number; readonly target: number | null }[];
  readonly rescue: object | null;
}
const measured = (...more: string[]) =>
  fairGrey('measure', 'painting', 'painting.png', '--scan', '--shapes', 'shapes.json', ...more, '--json')
    .json as Measured;
const against = ['--reference', 'picture.png'];

test('a painting that keeps the rules of its picture is told of none', async () => {
  await draw('painting.png', scene(GREYS));
  expect(measured(...against).rules).toEqual([]);
});

test('a shadow as light as the light, and one that falls apart from what it casts, are told by their object', async () => {
  await draw('painting.png', scene({ ...GREYS, shadow: '#f4f4f4' }));
  const told = measured(...against).rules;
  expect(told.map((r) => r.code)).toEqual(expect.arrayContaining(['separation', 'not_joined']));
  expect(told.every((r) => r.object === 'block' && r.names.length > 0)).toBe(true);
});

test('from life its masses are read as they lie on it, and the same rules hold', async () => {
  await draw('painting.png', scene({ ...GREYS, shadow: '#f4f4f4' }));
  const { registration, shapes, rules } = measured();
  expect(registration).toBeNull();
  expect(rules.map((r) => r.code)).toContain('separation');
  expect(shapes.map((s) => [s.name, s.target])).toEqual([
    ['block > light', null],
    ['block > dark', null],
    ['block > on the table', null],
  ]);
  expect(shapes[0]?.lightness).toBeGreaterThan((shapes[2]?.lightness ?? 100) + 20);
});

test('of two flat scans, of which neither has a known white, no change of values is told', async () => {
  await draw('painting.png', scene(GREYS));
  await draw('before.png', scene({ ...GREYS, lit: '#c0c0c0' }));
  expect(measured(...against, '--before', 'before.png').rescue).toBeNull();
  const missing = fairGrey('measure', 'painting', 'painting.png', '--scan', '--before', 'nowhere.png');
  expect([missing.code, missing.said]).toEqual([2, expect.stringContaining('nowhere.png')]);
});
