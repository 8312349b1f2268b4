/** Paintings through the command: measured against their picture, by names of its shapes, and told where they can't be of it. */
import { writeFileSync } from 'node:fs';
import path from 'node:path';
import sharp from 'sharp';
import { testCommand } from './test-command';

const { folder, fairGrey } = testCommand();
const [WIDE, HIGH] = [600, 480];

/** A jug, two eggs and a book on a table before a wall; every grey L* as an sRGB code. */
const GREYS = { wall: '#5a5a5a', table: '#a0a0a0', jug: '#303030', egg: '#e4e4e4', far: '#c8c8c8', book: '#787878' };
const scene = (greys: typeof GREYS, move = 0) =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDE}" height="${HIGH}">` +
  `<rect width="100%" height="100%" fill="${greys.wall}"/><rect y="290" width="100%" height="190" fill="${greys.table}"/>` +
  `<path d="M90 140 h110 l20 210 h-150 z" fill="${greys.jug}"/><ellipse cx="300" cy="370" rx="62" ry="44" fill="${greys.egg}"/>` +
  `<ellipse cx="${420 + move}" cy="330" rx="46" ry="34" fill="${greys.far}"/><path d="M470 180 l90 20 v130 l-90 -20 z" fill="${greys.book}"/></svg>`;
const png = (svg: string) => sharp(Buffer.from(svg)).png();
const draw = (name: string, svg: string) => png(svg).toFile(path.join(folder, name));
/** As a scanner sees it: twice as large, a little soft. */
const scanned = (svg: string) => sharp(Buffer.from(svg), { density: 144 }).png().blur(1);
const paint = (name: string, svg: string) => scanned(svg).toFile(path.join(folder, name));

beforeAll(async () => {
  await draw('picture.png', scene(GREYS));
  await draw(
    'labels.png',
    scene({
      wall: '#000000',
      table: '#000000',
      jug: '#010101',
      egg: '#020202',
      far: '#030303',
      book: '#040404',
    }).replace('<svg ', '<svg shape-rendering="crispEdges" '),
  );
  const shapes = [
    { label: 4, name: 'book' },
    { label: 1, name: 'jug' },
    { label: 2, name: 'eggs > near' },
    { label: 3, name: 'eggs > far' },
  ];
  writeFileSync(path.join(folder, 'shapes.json'), JSON.stringify({ labels: 'labels.png', shapes }));
});

interface Measured {
  capture: { accepted: boolean; mode: string; issues: { code: string; say: string }[] };
  registration: { shift: { x: number; y: number }; scale: { x: number; y: number }; rotation: number } | null;
  overall: { offset: number } | null;
  regions: { box: { x: number; y: number; width: number; height: number }; residual: number; area: number }[];
  displacements: { name: string | null; dx: number; dy: number }[];
  shapes: { name: string; residual: number; lightness: number; target: number; a: number | null; b: number | null }[];
  colour: object | null;
  accentsOfColour: object | null;
  findings: { code: string; kind: string }[];
}
const measured = (...more: string[]) =>
  fairGrey('measure', 'painting', 'painting.png', '--reference', 'picture.png', '--scan', ...more, '--json')
    .json as Measured;

test('a faithful painting has nothing to tell but where it lies', async () => {
  await paint('painting.png', scene(GREYS));
  const { capture, registration, regions, displacements } = measured();
  expect(capture).toMatchObject({ accepted: true, mode: 'relative', issues: [] });
  expect(Math.abs(registration?.shift.x ?? 1) + Math.abs(registration?.shift.y ?? 1)).toBeLessThan(0.004);
  expect(Math.abs((registration?.scale.x ?? 0) - 1)).toBeLessThan(0.01);
  expect([regions, displacements]).toEqual([[], []]);
});

test('a dark frame that was painted round it is left out, and the picture lies inside it as it should', async () => {
  const framed =
    `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDE}" height="${HIGH}"><rect width="100%" height="100%" fill="#1c1c1c"/>` +
    `<svg x="30" y="24" width="540" height="432" viewBox="0 0 ${WIDE} ${HIGH}">${scene(GREYS)}</svg></svg>`;
  await paint('painting.png', framed);
  const { registration, regions } = measured();
  expect(Math.abs(registration?.shift.x ?? 1) + Math.abs(registration?.shift.y ?? 1)).toBeLessThan(0.01);
  expect(Math.abs((registration?.scale.x ?? 0) - 1)).toBeLessThan(0.02);
  expect(regions).toEqual([]);
});

test('a frame of another proportion than the picture is filled, and that is no fault', async () => {
  await sharp(Buffer.from(scene(GREYS)), { density: 144 })
    .resize(2 * WIDE, 2 * HIGH + 100, { fit: 'fill' })
    .png()
    .toFile(path.join(folder, 'painting.png'));
  const { registration, regions, displacements } = measured();
  expect(Math.abs((registration?.scale.x ?? 0) - 1) + Math.abs((registration?.scale.y ?? 0) - 1)).toBeLessThan(0.01);
  expect([regions, displacements]).toEqual([[], []]);
});

test('a book that was painted too light is one region, and no other shape is blamed for it', async () => {
  await paint('painting.png', scene({ ...GREYS, book: '#a2a2a2' }));
  const { regions, findings } = measured();
  expect(regions).toHaveLength(1);
  expect(findings.filter((f) => f.kind === 'fix').map((f) => f.code)).toEqual(['part_off']);
  expect(regions[0]?.residual).toBeGreaterThan(8);
  expect(regions[0]?.box.x).toBeCloseTo(470 / WIDE, 1);
  const { shapes, colour, accentsOfColour } = measured('--shapes', 'shapes.json', '--colour', '--one-hue');
  // Of a scan nobody knows what its white was.
  expect([colour, accentsOfColour, shapes[0]?.a, shapes[0]?.b]).toEqual([null, null, null, null]);
  expect(shapes.map((s) => s.name)).toEqual(['book', 'jug', 'eggs > near', 'eggs > far']);
  expect(shapes[0]?.residual).toBeGreaterThan(8);
  shapes.slice(1).forEach((s) => expect(Math.abs(s.residual)).toBeLessThan(2.5));
});

test('an egg that stands elsewhere is told by its name, as it was moved', async () => {
  await paint('painting.png', scene(GREYS, -24));
  const { displacements, regions } = measured('--shapes', 'shapes.json');
  const far = displacements.find((d) => d.name === 'eggs > far');
  expect(Math.abs((far?.dx ?? 0) + 24 / WIDE)).toBeLessThan(0.006);
  expect(Math.abs(far?.dy ?? 1)).toBeLessThan(0.006);
  expect(Math.abs(displacements.find((d) => d.name === 'jug')?.dx ?? 1)).toBeLessThan(0.006);
  expect(regions).toEqual([]);
});

test('a painting that can’t be of its picture is told why, and no faults follow', async () => {
  const told = async (name: string, image: ReturnType<typeof sharp>) => {
    await image.toFile(path.join(folder, 'painting.png'));
    const { capture, regions, registration } = measured();
    expect([name, capture.accepted, regions, registration]).toEqual([name, false, [], null]);
    return capture.issues.map((i) => i.code);
  };
  const own = () => scanned(scene(GREYS));
  expect(await told('mirrored', own().flop())).toEqual(['mirrored']);
  expect(await told('on its head', own().rotate(180))).toEqual(['upside_down']);
  expect(
    await told(
      'a part',
      own()
        .extract({ left: 0, top: 192, width: 780, height: 624 })
        .resize(2 * WIDE, 2 * HIGH),
    ),
  ).toEqual(['cropped']);
  const other =
    `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDE}" height="${HIGH}"><rect width="100%" height="100%" fill="#ddd"/>` +
    '<rect x="0" y="60" width="240" height="60" fill="#333"/><circle cx="500" cy="90" r="70" fill="#777"/>' +
    '<rect x="330" y="210" width="60" height="270" fill="#222"/></svg>';
  expect(await told('another', scanned(other))).toEqual(['not_the_reference']);
  const blank = scene({
    wall: '#999999',
    table: '#999999',
    jug: '#999999',
    egg: '#999999',
    far: '#999999',
    book: '#999999',
  });
  expect(await told('one grey', scanned(blank))).toEqual(['unpainted']);
});

test('what can’t be used is one line', () => {
  const line = (...args: string[]) => fairGrey('measure', 'painting', ...args, '--json');
  const wrong = (said: string) => ({ code: 2, json: null, said: expect.stringContaining(said) as string });
  expect(line('painting.png', '--reference', 'picture.png', '--key', 'loud')).toMatchObject(wrong('--key'));
  expect(line('painting.png', '--reference', 'picture.png', '--push', '80')).toMatchObject(wrong('0 to 50'));
  const named = (text: string) => {
    writeFileSync(path.join(folder, 'wrong.json'), text);
    return line('painting.png', '--reference', 'picture.png', '--scan', '--shapes', 'wrong.json');
  };
  expect(named('{')).toMatchObject(wrong('it is not JSON'));
  expect(named('{"labels":"labels.png","shapes":[]}')).toMatchObject(wrong('names no shape'));
  expect(named('{"labels":"gone.png","shapes":[{"label":1,"name":"jug"}]}')).toMatchObject(wrong('not beside it'));
});
