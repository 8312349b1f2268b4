/** Letters as PDF, opened by a reader of its own: every word is there, in every register, on both papers, and however long it is. */
import { allSaid } from '@/core/critique/all-said';
import { REGISTERS, type Register } from '@/core/critique/voice';
import { PAPER_IDS, PAPERS } from '@/core/sheet/paper';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import sharp from 'sharp';
import { canPrint } from './fonts';
import { letterPages, type LetterWords } from './letter-pages';
import { sheetsToPdf } from './sheet-pdf';
import { runsFromRight, visualOrder } from './visual-order';

const folder = mkdtempSync(path.join(tmpdir(), 'fair-grey-letters-'));
const HEBREW = 'שלום מארן, הצל כהה מדי';
/** The longest word that a teacher may write, in paragraphs and several scripts. */
const LONGEST = [
  'Dear Maren,',
  HEBREW,
  '你好，请再看看暗部。',
  'Grüße aus Ærøskøbing, Ωμέγα, Привет 🎨',
  `${'Look at the darks once more, and leave the rest. '.repeat(420).slice(0, 19_800)}end`,
].join('\n\n');

function letterFor(register: Register, more: Partial<LetterWords> = {}): LetterWords {
  const said = allSaid(register);
  const says = [...new Set(said.filter((s) => s.what === 'say').map((s) => s.text))];
  const sentence = (say: string) => ({ say, action: said.find((s) => s.what === 'do')?.text ?? null });
  const [first, ...others] = says.slice(20).map(sentence);
  return {
    ...{ paper: 'a4', student: 'Ørla Tamsin', className: 'Tidewell Evening Studio', date: '1 December 2026' },
    ...{ exercise: 'Nine greys', verdict: 'Once more, please.', works: says.slice(0, 5), first: first ?? null },
    ...{
      next: others.slice(0, 6),
      later: others.slice(6, 60),
      word: '',
      picture: null,
      correction: null,
      reference: null,
      marks: [],
    },
    numbers: says.slice(20, 26).map((of) => ({ of, lines: ['off by: 3 L*; how much of the picture: 0.1'] })),
    ...more,
  };
}

async function pdfOf(letter: LetterWords): Promise<string> {
  const file = path.join(folder, 'letter.pdf');
  writeFileSync(file, await sheetsToPdf(letterPages(letter)));
  return file;
}
/** Bare words: of what runs from the right a reader turns stops and brackets round, and joins what they part. */
const wordsIn = (text: string): string[] => text.split(/[^\p{L}\p{N}]+/u).filter((word) => word !== '');
const extracted = (file: string) => new Set(wordsIn(execFileSync('pdftotext', [file, '-'], { encoding: 'utf8' })));

describe.each(PAPER_IDS.flatMap((paper) => REGISTERS.map((register) => [paper, register] as const)))(
  'on %s for %s',
  (paper, register) => {
    const letter = letterFor(register, { paper, word: LONGEST });
    let file: string;
    beforeAll(async () => {
      file = await pdfOf(letter);
    });

    test('every word is there', () => {
      const there = extracted(file);
      const { works, first, next, later, word, numbers } = letter;
      const all = [
        ...works,
        ...[first, ...next, ...later].flatMap((s) => [s?.say, s?.action]),
        word,
        ...numbers.flatMap((n) => [n.of, ...n.lines]),
      ];
      // Chinese has no words between blanks, and a line may end within.
      const wanted = wordsIn(all.join('\n')).filter((w) => !/\p{Script=Han}/u.test(w));
      expect([...new Set(wanted)].filter((w) => !there.has(w))).toEqual([]);
    });

    test('no glyph is missing, every font is embedded, and the paper is what it says', () => {
      expect(canPrint(Object.values(letter).flat().join(''))).toBe(true);
      const fonts = execFileSync('pdffonts', [file], { encoding: 'utf8' }).split('\n').slice(2).filter(Boolean);
      expect(fonts.length).toBeGreaterThan(4);
      for (const font of fonts) expect(font).toMatch(/yes yes yes/);
      const { widthMm, heightMm } = PAPERS[paper];
      const info = execFileSync('pdfinfo', [file], { encoding: 'utf8' });
      const [, wide, tall] = /Page size:\s+([\d.]+) x ([\d.]+)/.exec(info) ?? [];
      expect(Number(wide) / 72).toBeCloseTo(widthMm / 25.4, 2);
      expect(Number(tall) / 72).toBeCloseTo(heightMm / 25.4, 2);
    });
  },
);

test('an ordinary letter with its picture takes no more than two sides', async () => {
  const image = await sharp({ create: { width: 600, height: 400, channels: 3, background: '#888' } })
    .jpeg()
    .toBuffer();
  const short = { ...letterFor('beginners'), later: [], word: 'Nearly there.' };
  const pages = letterPages({ ...short, picture: { image, widthOverHeight: 1.5 } });
  expect(pages.length).toBeLessThanOrEqual(2);
  expect(pages[0]?.marks).toContainEqual(expect.objectContaining({ kind: 'picture' }));
  expect(await pdfOf({ ...short, picture: { image, widthOverHeight: 1.5 } })).toContain('.pdf');
});

test('marks stand on the picture, light under dark, with their numbers and words', () => {
  const image = new Uint8Array([0xff, 0xd8]);
  const marks = [
    { on: 'painting', mark: { kind: 'pin', points: [[0.5, 0.5]] }, number: 1, words: 'Soften this edge.' },
    {
      on: 'painting',
      mark: {
        kind: 'outline',
        points: [
          [0.2, 0.2],
          [0.4, 0.2],
          [0.3, 0.4],
        ],
      },
      number: 3,
      words: 'One shape.',
    },
  ] satisfies LetterWords['marks'];
  const [page] = letterPages({ ...letterFor('beginners'), picture: { image, widthOverHeight: 1.5 }, marks });
  const strokes = page?.marks.flatMap((m) => (m.kind === 'stroke' ? [m] : [])) ?? [];
  const picture = page?.marks.find((m) => m.kind === 'picture')?.box;
  expect(new Set(strokes.map((s) => s.code))).toEqual(new Set([0, 255]));
  for (const [x, y] of strokes.flatMap((s) => s.points)) {
    expect(x).toBeGreaterThan(picture?.xMm ?? Infinity);
    expect(y).toBeLessThan((picture?.yMm ?? 0) + (picture?.heightMm ?? 0));
  }
  const words = page?.marks.flatMap((m) => (m.kind === 'text' ? [m.text] : [])) ?? [];
  expect(words).toEqual(expect.arrayContaining(['1', '3', '1  Soften this edge.', '3  One shape.']));
});

test('a correction stands beside the painting and is called one; marks on what it is painted from stand on that', async () => {
  const grey = sharp({ create: { width: 60, height: 40, channels: 3, background: '#888' } });
  const picture = { image: new Uint8Array(await grey.jpeg().toBuffer()), widthOverHeight: 1.5 };
  const marks: LetterWords['marks'] = [
    { on: 'reference', mark: { kind: 'pin', points: [[0.5, 0.5]] }, number: 4, words: 'Look here first.' },
  ];
  const pages = letterPages({ ...letterFor('beginners'), picture, correction: picture, reference: picture, marks });
  const boxes = pages.flatMap((p) => p.marks.flatMap((m) => (m.kind === 'picture' ? [m.box] : [])));
  const [own, beside, from] = boxes;
  expect(boxes).toHaveLength(3);
  expect(beside?.yMm).toBe(own?.yMm);
  expect(beside?.xMm).toBeGreaterThan((own?.xMm ?? 0) + (own?.widthMm ?? 0));
  expect(from?.yMm).toBeGreaterThan((own?.yMm ?? 0) + (own?.heightMm ?? 0));
  const words = pages.flatMap((p) => p.marks.flatMap((m) => (m.kind === 'text' ? [m.text] : [])));
  expect(words).toEqual(
    expect.arrayContaining(['A correction by your teacher, not your painting', '4  Look here first.']),
  );
  const strokes = pages[0]?.marks.flatMap((m) => (m.kind === 'stroke' ? m.points : [])) ?? [];
  for (const [, y] of strokes) expect(y).toBeGreaterThan(from?.yMm ?? Infinity);
});

test('nothing of a letter runs over the foot of a page, and a heading never ends one', () => {
  for (const register of REGISTERS)
    for (const { marks, heightMm } of letterPages(letterFor(register, { word: LONGEST }))) {
      const lines = marks.flatMap((m) => (m.kind === 'text' ? [m] : []));
      const [foot, ...own] = [...lines].reverse();
      expect(foot?.text).toMatch(/ of \d+$/);
      for (const line of own) expect(line.yMm).toBeLessThan(heightMm - 20);
      expect(own[0]?.weight).not.toBe('strong');
    }
});

test.each([
  ['Latin', 'Grüße aus Ærøskøbing'],
  ['Greek and Cyrillic', 'Ωμέγα Привет'],
  ['Hebrew', HEBREW],
  ['Arabic', 'مرحبا بك في المرسم'],
  ['Chinese', '你好请再看看暗部'],
  ['emoji', '🎨✨🖌🎨✨🖌'],
])('what is written in %s leaves its ink on the paper', async (_, word) => {
  const bare = { ...letterFor('beginners'), works: [], first: null, next: [], later: [], numbers: [], verdict: '' };
  const inkOf = async (own: string) => {
    const file = await pdfOf({ ...bare, word: own });
    execFileSync('pdftoppm', ['-r', '100', '-png', '-singlefile', '-gray', file, file]);
    const { data } = await sharp(`${file}.png`).raw().toBuffer({ resolveWithObject: true });
    return data.reduce((dark, v) => dark + (v < 128 ? 1 : 0), 0);
  };
  expect((await inkOf(word)) - (await inkOf('.'))).toBeGreaterThan(250);
});

test('any sign of Unicode is looked for without harm, and what no font has is said to be missing', () => {
  const one = (code: number) => String.fromCodePoint(code);
  const signs = [
    ...Array.from({ length: 0xd800 / 16 }, (_, k) => one(16 * k + 5)),
    ...Array.from({ length: 0x200 }, (_, k) => one(0x1f300 + 3 * k)),
  ];
  for (const sign of signs) expect(typeof canPrint(sign, 'strong')).toBe('boolean');
  expect(canPrint('שלום مرحبا 你好 🎨 Ωμέγα Привет Grüße')).toBe(true);
  expect(canPrint('አበበ')).toBe(false);
});

test('what runs from the right stands from the right, word by word, numbers the way they are read', () => {
  expect(runsFromRight(HEBREW)).toBe(true);
  expect(runsFromRight('Maren שלום')).toBe(false);
  expect(visualOrder('left only')).toEqual([{ text: 'left only', level: 0 }]);
  const order = visualOrder('שלום 12 עולם').map((s) => s.text.trim());
  expect(order.filter(Boolean)).toEqual(['עולם', '12', 'שלום']);
  expect(
    visualOrder('a (שלום) b')
      .map((s) => s.text)
      .join(''),
  ).toBe('a (שלום) b');
});
