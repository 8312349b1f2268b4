/** Sheets are printed in a thread of their own, whatever a name is made of. */
import { defaultTerms } from '@/core/kinds/table';
import { drawExerciseSheet } from '@/core/handout/exercise-sheet';
import { sheetsToPdf } from '@/print/sheet-pdf';
import { sheetToSvg } from '@/print/sheet-svg';
import type { PrintJob } from './job';
import { exercisePages } from './job';
import { openPrinter, type Printer } from './printer';

let printer: Printer;
beforeAll(() => {
  printer = openPrinter();
});
afterAll(() => printer.close());

const terms = defaultTerms('scale');
const words = (name: string) => ({
  title: 'Nine greys from white to black',
  className: 'Tidewell Evening Studio',
  name,
  labels: Array.from({ length: 9 }, (_, k) => String(k + 1)),
  due: '',
  care: 'Wash your hands.',
  careInShort: 'Wash your hands.',
  exercise: 'abcdefghjkmnpqrs',
  student: 'abcdefghjkmnpqrt',
  figures: {},
});

async function bytesOf(job: PrintJob): Promise<Buffer> {
  const pieces: Uint8Array[] = [];
  for await (const piece of await printer.print(job)) pieces.push(piece);
  return Buffer.concat(pieces);
}

test('a class is one PDF with the pages of each', async () => {
  const people = ['Bea Lindqvarn', 'Ruta Vane', 'Ørla Tamsin'];
  const pdf = (await bytesOf({ kind: 'exercise', terms, for: people.map(words) })).toString('latin1');
  expect(pdf.startsWith('%PDF')).toBe(true);
  expect(pdf.trimEnd().endsWith('%%EOF')).toBe(true);
  const pages = people.flatMap((name) => exercisePages(terms, words(name)));
  expect(pdf.match(/\/Type \/Page\b/g)).toHaveLength(pages.length);
});

test('to look at, the first page comes as it would be printed', async () => {
  const job: PrintJob = { kind: 'exercise', terms, for: ['Bea Lindqvarn', 'Ruta Vane'].map(words) };
  expect(await printer.picture(job)).toBe(sheetToSvg(drawExerciseSheet(terms, words('Bea Lindqvarn'))));
  expect(await printer.picture({ kind: 'drawn', sheets: [] })).toBeNull();
});

test('nothing to print is told before a PDF is begun', async () => {
  await expect(printer.print({ kind: 'drawn', sheets: [] })).rejects.toThrow('at least one sheet');
});

// Among them marks that fonts name and have no outline for, half a character, and other directions.
test.each(['\u200b', '\ufeff', '\u00ad', '\u2028', '\ud800', '\u202e', '\u0000', '\u0301', '😀', '青木', '\u200d'])(
  'a name with %j stops no sheet',
  async (character) => {
    for (const name of [character, `Ola${character}Vane`])
      expect((await sheetsToPdf(exercisePages(terms, words(name)))).length).toBeGreaterThan(1000);
  },
);
