/** Remarks out as CSV and in again. */
import fc from 'fast-check';
import { BadRemarks, formatRemarks, parseRemarks, type Remark } from './remarks-csv';

const REMARKS: readonly Remark[] = [
  { key: 'edges', kind: 'fix', say: 'Edges are “hard”, all of them.', action: 'Lose three; keep one.' },
  { key: 'brave', kind: 'works', say: 'Brave darks,\nand they hold.', action: '' },
  { key: 'formula', kind: 'fix', say: '=HYPERLINK("x")', action: '-2 steps' },
];

test('what goes out comes in again, word for word', () => {
  expect(parseRemarks(formatRemarks(REMARKS))).toEqual(REMARKS);
});

test('no cell of it is a formula to a spreadsheet', () => {
  expect(formatRemarks(REMARKS)).not.toMatch(/(^|,|")[=+@-]/m);
});

test('any words in any script survive', () => {
  const word = fc
    .string({ unit: 'grapheme', minLength: 1, maxLength: 60 })
    .map((s) => s.trim())
    .filter((s) => s !== '' && !/^'+[=+\-@]/.test(s) && !s.includes('\r'));
  fc.assert(
    fc.property(word, word, (say, action) => {
      const remark: Remark = { key: 'key', kind: 'fix', say, action };
      expect(parseRemarks(formatRemarks([remark]))).toEqual([remark]);
    }),
    { numRuns: 200 },
  );
});

test('a table from a spreadsheet with semicolons is read, and "to mend" in any case', () => {
  expect(parseRemarks('Key;Kind;Say;Do\nsoft;To mend;Too soft.;Sharpen one edge.')).toEqual([
    { key: 'soft', kind: 'fix', say: 'Too soft.', action: 'Sharpen one edge.' },
  ]);
});

test.each([
  ['key,say\na,b', /kind is missing/],
  ['key,kind,say\na,maybe,b', /Line 2: “maybe” is no kind/],
  ['key,kind,say\n,works,b', /Line 2: give the remark a key/],
  ['key,kind,say\na,works,', /Line 2: say what is seen/],
  ['key,kind,say\na,works,b\nA,works,c', /Line 3: there are two/],
])('%j is refused with the line and what to change', (csv, say) => {
  expect(() => parseRemarks(csv)).toThrow(BadRemarks);
  expect(() => parseRemarks(csv)).toThrow(say);
});
