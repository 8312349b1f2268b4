/** The sheet and the handout of every kind, printed: real text in embedded fonts, greys exact, nothing off the page. */
import { isStepped } from '@/core/exercise/terms';
import { drawExerciseSheet, drawHandout } from '@/core/handout/exercise-sheet';
import { drawRecipePage } from '@/core/handout/recipe-page';
import { defaultTerms, exerciseLayout, KIND_IDS } from '@/core/kinds/table';
import { PAPER_IDS } from '@/core/sheet/paper';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { sheetsToPdf } from './sheet-pdf';

const folder = mkdtempSync(path.join(tmpdir(), 'fair-grey-kinds-'));
const DPI = 100;

/** Grey codes of a page, by poppler. */
function rasterise(file: string, page: number) {
  const out = path.join(folder, 'page');
  execFileSync('pdftoppm', [
    '-r',
    String(DPI),
    '-f',
    String(page),
    '-l',
    String(page),
    '-gray',
    '-singlefile',
    file,
    out,
  ]);
  const bytes = readFileSync(`${out}.pgm`);
  const [, width = '0', height = '0'] =
    /^P5\s+(\d+)\s+(\d+)\s+255\s/.exec(bytes.subarray(0, 40).toString('latin1')) ?? [];
  const data = bytes.subarray(bytes.length - Number(width) * Number(height));
  return {
    width: Number(width),
    height: Number(height),
    data,
    at: (xMm: number, yMm: number) =>
      data[Math.floor((yMm * DPI) / 25.4) * Number(width) + Math.floor((xMm * DPI) / 25.4)],
  };
}

/** Every kind on one paper; a few of them on each, since sheets of one frame or of cells differ only in that. */
const SHEETS = KIND_IDS.flatMap((kind, k) =>
  (k % 3 === 0 ? PAPER_IDS : [PAPER_IDS[k % 2] as (typeof PAPER_IDS)[number]]).map((paper) => [kind, paper] as const),
);

test.each(SHEETS)('%s on %s', async (kind, paper) => {
  const terms = { ...defaultTerms(kind), paper };
  const labels = isStepped(terms) ? Array.from({ length: terms.steps }, (_, i) => String(i + 1)) : [];
  const words = {
    title: 'Grüße an Ørla',
    className: 'Tidewell Evening Studio',
    name: 'Ørla Finnick',
    labels,
    due: 'Friday',
    care: 'Wash your hands.',
    careInShort: 'Wash your hands.',
    exercise: 'e',
    student: 's',
    figures: {},
  };
  const file = path.join(folder, `${kind}-${paper}.pdf`);
  const mixes = drawRecipePage(terms, words);
  writeFileSync(
    file,
    await sheetsToPdf([drawExerciseSheet(terms, words), drawHandout(terms, words), ...(mixes ? [mixes] : [])]),
  );

  const text = execFileSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' });
  for (const said of [
    'Grüße an Ørla',
    'Ørla Finnick',
    'Order of work',
    'Brushes, large to small',
    'Wash your hands.',
    ...(mixes ? ['From the tubes: titanium white', 'from the tube'] : []),
  ])
    expect(text).toContain(said);
  const fonts = execFileSync('pdffonts', [file], { encoding: 'utf8' }).split('\n').slice(2).filter(Boolean);
  expect(fonts.length).toBeGreaterThan(0);
  for (const font of fonts) expect(font).toMatch(/\syes\s+(yes|no)\s+(yes|no)\s+\d+\s+\d+$/);

  const sheet = rasterise(file, 1);
  for (const p of exerciseLayout(terms).patches)
    expect(sheet.at(p.xMm + p.widthMm / 2, p.yMm + p.heightMm / 2)).toBe(p.code);
  const handout = rasterise(file, 2);
  const dark = (y: number) => handout.data.subarray(y * handout.width, (y + 1) * handout.width).some((v) => v < 128);
  const last =
    Array.from({ length: handout.height }, (_, y) => y)
      .filter(dark)
      .at(-1) ?? 0;
  expect(last).toBeLessThan(0.95 * handout.height);
});
