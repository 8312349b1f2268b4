import { linearRgbToLab } from '../colour/lab';
import { applyMatrix, inverseMatrix, type ColourMatrix } from '../colour/primaries';
import type { Triple } from '../colour/srgb';
import { PIECES } from '../sheet/bracket-pieces';
import { cardLightness } from '../sheet/card';
import { chromaRow } from '../sheet/chroma';
import { sheetFrame } from '../sheet/frame';
import { nominalProfile, readProfile, WrongCard, type CardReadings } from './card-profile';
import { fitColourMatrix } from './colour-matrix';
import { cardOfPieces, knownCardOf, storeCard } from './stored-card';

const frame = sheetFrame('a4');
const card = { patches: frame.patches, chroma: chromaRow(frame.chromaticRow) };
const greysOnly = { patches: frame.patches, chroma: [] };
const lab = (lightness: number): Triple => [lightness, 0.4, -1.5];
/** A print two L* darker than the nominal one, its paper bluish. */
const readings = (
  change: (patches: Map<number, Triple>) => void = () => undefined,
  paper: Triple | null = [93, 0.5, -2],
): CardReadings => {
  const patches = new Map(frame.patches.map((p, i) => [i + 1, lab(cardLightness(p.code) - 2)]));
  change(patches);
  return { paper, patches };
};

test('a nominal profile is neutral and as unsure as printers differ; a measured one is what was read', () => {
  const nominal = nominalProfile(card);
  expect(nominal.paper).toEqual([95, 0, 0]);
  expect(nominal.halfWidth(16)).toBe(9);
  const measured = readProfile(greysOnly, readings(), 'measured');
  expect(measured).toMatchObject({ basis: 'measured', paper: [93, 0.5, -2] });
  expect(measured.greys[0]?.[0]).toBeCloseTo(cardLightness(frame.patches[0]?.code ?? 0) - 2, 6);
  expect(measured.halfWidth(16)).toBeLessThan(0.5);
  expect(readProfile(greysOnly, readings(), 'carried').halfWidth(50)).toBeGreaterThan(measured.halfWidth(50));
});

test('paper that was not read is carried on from the lightest greys', () => {
  const { paper } = readProfile(greysOnly, readings(undefined, null), 'measured');
  expect(Math.abs(paper[0] - 93)).toBeLessThan(0.6);
  expect(paper[2]).toBe(-1.5);
});

test('colours count only where all coloured patches were read', () => {
  expect(readProfile(card, readings(), 'measured').chroma).toBeNull();
  const all = readings((p) => card.chroma.forEach((c, i) => p.set(21 + i, [c.lightness, c.a, c.b])));
  expect(readProfile(card, all, 'measured').chroma).toHaveLength(card.chroma.length);
});

test.each([
  ['a patch is missing', (p: Map<number, Triple>) => p.delete(7), /patch 7 of the sheet is not in it/],
  ['there are patches that the sheet lacks', (p: Map<number, Triple>) => p.set(90, lab(50)), /has a patch 90/],
  [
    'patches were read in the wrong order',
    (p: Map<number, Triple>) => [1, 2, 3, 4, 5, 6, 7, 8, 9, 10].forEach((k) => p.set(k, lab(16 + 7.9 * (10 - k)))),
    /another card: patch 1 should be about/,
  ],
  [
    'two neighbours were swapped',
    (p: Map<number, Triple>) => {
      const [a, b] = [p.get(4) as Triple, p.get(5) as Triple];
      p.set(4, b);
      p.set(5, a);
    },
    /printed lighter than patch 4 and reads darker/,
  ],
])('%s: told as another card', (_, change, words) => {
  expect(() =>
    readProfile(
      greysOnly,
      readings((p) => void change(p)),
      'measured',
    ),
  ).toThrow(WrongCard);
  expect(() =>
    readProfile(
      greysOnly,
      readings((p) => void change(p)),
      'measured',
    ),
  ).toThrow(words);
});

test('a class keeps its card, and corner pieces of the same printer are told from it', () => {
  const stored = storeCard(readings(), 'measured', 'read by hand');
  const pieces = cardOfPieces(knownCardOf(stored));
  const all = { patches: PIECES.flatMap((p) => p.patches), chroma: [] };
  const profile = readProfile(all, pieces.readings, 'measured');
  profile.greys.forEach((g, i) => expect(g[0]).toBeCloseTo(cardLightness(all.patches[i]?.code ?? 0) - 2, 5));
});

test('a camera’s primaries come back from coloured patches, and grey stays grey', () => {
  const camera: ColourMatrix = [
    [0.75, 0.2, 0.05],
    [0.12, 0.8, 0.08],
    [-0.03, 0.15, 0.88],
  ];
  const known = card.chroma.map((c): Triple => c.rgb.map((v) => (v / 255) ** 2.2) as unknown as Triple);
  const found = fitColourMatrix(
    known.map((k) => applyMatrix(camera, k)),
    known,
  );
  for (const k of known) {
    const [l, a, b] = linearRgbToLab(applyMatrix(found, applyMatrix(camera, k)));
    const truth = linearRgbToLab(k);
    expect(Math.hypot(l - truth[0], a - truth[1], b - truth[2])).toBeLessThan(1);
  }
  found.forEach((row) => expect(row[0] + row[1] + row[2]).toBeCloseTo(1, 9));
  expect(applyMatrix(inverseMatrix(camera), applyMatrix(camera, [0.2, 0.5, 0.7]))[1]).toBeCloseTo(0.5, 9);
});
