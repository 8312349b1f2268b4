import { converter } from 'culori';
import { labD50ToD65, labD65ToD50 } from '../colour/adaptation';
import type { Triple } from '../colour/srgb';
import { BadCard, formatCardCsv, parseCardCsv } from './card-csv';
import { parseCardFile } from './card-file';
import { formatCgats, parseCgats } from './cgats';
import { profilePrimaries } from './icc';
import { heifProfile, isHeic } from './icc-files';

const patches = new Map(Array.from({ length: 10 }, (_, i): [number, Triple] => [i + 1, [16 + 7.9 * i, 0.3, -1.2]]));
const readings = { paper: [94.2, 0.4, -2.1] as Triple, patches };

test('readings go out and come back in both formats', () => {
  expect(parseCardCsv(formatCardCsv(readings))).toEqual({
    paper: readings.paper,
    patches: new Map([...patches].map(([k, l]) => [k, l.map((v) => Number(v.toFixed(3)))])),
  });
  const back = parseCardFile(formatCgats(readings));
  for (const [k, labs] of patches)
    back.patches.get(k)?.forEach((v, c) => expect(Math.abs(v - (labs[c] ?? 0))).toBeLessThan(0.01));
  expect(Math.abs((back.paper?.[2] ?? 0) + 2.1)).toBeLessThan(0.01);
});

test('semicolons and decimal commas are read; an instrument’s names beside numbers too', () => {
  const csv = parseCardCsv(
    [
      'patch;lightness;a;b',
      ...[...patches].map(([k, l]) => `${k};${l.map((v) => String(v).replace('.', ',')).join(';')}`),
    ].join('\n'),
  );
  expect(csv.patches.get(2)?.[0]).toBeCloseTo(23.9, 6);
  const rows = [...patches].map(([k, l]) => `"A${k}" ${k} ${l.join(' ')}`);
  const table = parseCgats(
    [
      'CGATS.17',
      'ILLUMINANT "D65"',
      'BEGIN_DATA_FORMAT',
      'SAMPLE_NAME SAMPLE_ID LAB_L LAB_A LAB_B',
      'END_DATA_FORMAT',
      'BEGIN_DATA',
      ...rows,
      'END_DATA',
    ].join('\r\n'),
  );
  expect(table.adapted).toBe(false);
  expect(table.patches.get(10)).toEqual(patches.get(10));
});

test.each([
  ['no such columns', 'a,b\n1,2', /must name the columns patch, lightness, a and b/],
  ['a patch twice', `patch,lightness,a,b\n${'1,50,0,0\n'.repeat(9)}`, /Line 3: patch 1 is there twice/],
  ['a name that is none', 'patch,lightness,a,b\nnavy,50,0,0', /“navy” is no patch/],
  ['a lightness that can’t be', 'patch,lightness,a,b\n1,150,0,0', /Line 2: lightness must be 0 to 100/],
  ['too few', 'patch,lightness,a,b\n1,50,0,0', /At least eight/],
  ['a table without its data', 'BEGIN_DATA_FORMAT\nSAMPLE_ID LAB_L LAB_A LAB_B\nEND_DATA_FORMAT\n', /no BEGIN_DATA/],
  [
    'a table without L*a*b*',
    'BEGIN_DATA_FORMAT\nSAMPLE_ID XYZ_X XYZ_Y XYZ_Z\nEND_DATA_FORMAT\nBEGIN_DATA\nEND_DATA',
    /no columns LAB_L/,
  ],
])('%s is told in one sentence', (_, text, words) => {
  expect(() => parseCardFile(text)).toThrow(BadCard);
  expect(() => parseCardFile(text)).toThrow(words);
});

test('D50 to D65 and back agrees with an independent library', () => {
  const lab65 = converter('lab65');
  for (const lab of [
    [50, 20, -30],
    [80, -15, 40],
    [25, 5, 5],
  ] as const) {
    const independent = lab65({ mode: 'lab', l: lab[0], a: lab[1], b: lab[2] });
    const own = labD50ToD65(lab);
    expect(Math.abs(own[0] - independent.l)).toBeLessThan(0.05);
    expect(Math.abs(own[1] - independent.a)).toBeLessThan(0.15);
    expect(Math.abs(own[2] - independent.b)).toBeLessThan(0.15);
    labD65ToD50(own).forEach((v, i) => expect(v).toBeCloseTo(lab[i] ?? 0, 3));
  }
});

/** A profile of three primaries as its tags hold them; the columns are XYZ under D50. */
function icc(columns: readonly Triple[]): Uint8Array {
  const bytes = new Uint8Array(128 + 4 + 36 + 60);
  const view = new DataView(bytes.buffer);
  view.setUint32(128, 3);
  columns.forEach((xyz, i) => {
    const [entry, at] = [132 + 12 * i, 168 + 20 * i];
    bytes.set(new TextEncoder().encode(`${'rgb'[i]}XYZ`), entry);
    view.setUint32(entry + 4, at);
    view.setUint32(entry + 8, 20);
    xyz.forEach((v, c) => view.setInt32(at + 8 + 4 * c, Math.round(v * 65536)));
  });
  return bytes;
}

test('primaries are read from a profile: sRGB’s are none, wider ones make a matrix that keeps white, a broken one is none', () => {
  expect(
    profilePrimaries(
      icc([
        [0.43607, 0.22249, 0.01392],
        [0.38515, 0.71687, 0.09708],
        [0.14307, 0.06061, 0.7141],
      ]),
    ),
  ).toBeNull();
  const wide = profilePrimaries(
    icc([
      [0.51512, 0.2412, -0.00105],
      [0.29198, 0.69225, 0.04189],
      [0.1571, 0.06657, 0.78407],
    ]),
  );
  expect(wide?.[0][0]).toBeCloseTo(1.2249, 2);
  wide?.forEach((row) => expect(row[0] + row[1] + row[2]).toBeCloseTo(1, 9));
  expect(profilePrimaries(new Uint8Array(20))).toBeNull();
  expect(
    profilePrimaries(
      icc([
        [9, 9, 9],
        [0, 0, 0],
        [0, 0, 0],
      ]),
    ),
  ).toBeNull();
});

test('HEIC is told from AVIF by its brands, and its profile found in its box', () => {
  const box = (brands: string) =>
    new TextEncoder().encode(`\0\0\0\x18ftyp${brands.slice(0, 4)}\0\0\0\0${brands.slice(4)}`);
  expect([isHeic(box('heicmif1heic')), isHeic(box('avifmif1avif')), isHeic(new Uint8Array(4))]).toEqual([
    true,
    false,
    false,
  ]);
  const profile = new Uint8Array(200).fill(7);
  const file = new Uint8Array(400);
  new DataView(file.buffer).setUint32(40, 12 + profile.length);
  file.set(new TextEncoder().encode('colrprof'), 44);
  file.set(profile, 52);
  expect(heifProfile(file)).toEqual(profile);
  expect(heifProfile(new Uint8Array(300))).toBeNull();
});
