/** A portfolio on paper: every try stands on its page, none over another, and what is too long says where it goes on. */
import { PAPER_IDS, PAPERS } from '@/core/sheet/paper';
import sharp from 'sharp';
import { portfolioPages, type PortfolioTry, type PortfolioWords } from './portfolio-pages';

let image: Uint8Array;
beforeAll(async () => {
  image = new Uint8Array(
    await sharp({ create: { width: 30, height: 20, channels: 3, background: '#777' } })
      .jpeg()
      .toBuffer(),
  );
});

const tried = (n: number, words: readonly string[] = ['Passed.'], widthOverHeight = 1.5): PortfolioTry => ({
  ...{ name: `Try ${n}, 1 December`, words, picture: { image, widthOverHeight } },
});
const words = (exercises: PortfolioWords['exercises'], paper: PortfolioWords['paper'] = 'a4'): PortfolioWords => ({
  ...{ paper, student: 'Bea Lindqvarn', className: 'Tidewell Evening Studio', exercises },
});
const textsOf = (page: ReturnType<typeof portfolioPages>[number]) =>
  page.marks.flatMap((m) => (m.kind === 'text' ? [m.text] : []));

test.each(PAPER_IDS)('on %s pictures lie on the page and none on another, however many tries there are', (paper) => {
  const tall = [1.5, 0.5, 3].map((shape, k) => tried(k + 1, ['Passed.', 'A calm row of greys.'], shape));
  const many = Array.from({ length: 11 }, (_, k) => tried(k + 1));
  const exercises = [
    { title: 'Five greys', tries: many },
    { title: 'A jug', tries: tall },
  ];
  const pages = portfolioPages(words(exercises, paper));
  const { widthMm, heightMm } = PAPERS[paper];
  for (const { marks } of pages) {
    const boxes = marks.flatMap((m) => (m.kind === 'picture' ? [m.box] : []));
    for (const [k, a] of boxes.entries()) {
      expect(a.xMm >= 0 && a.yMm >= 0 && a.xMm + a.widthMm <= widthMm && a.yMm + a.heightMm <= heightMm).toBe(true);
      const over = boxes
        .slice(k + 1)
        .filter(
          (b) =>
            a.xMm < b.xMm + b.widthMm &&
            b.xMm < a.xMm + a.widthMm &&
            a.yMm < b.yMm + b.heightMm &&
            b.yMm < a.yMm + a.heightMm,
        );
      expect(over).toEqual([]);
    }
  }
  const said = pages.flatMap(textsOf);
  for (let n = 1; n <= 11; n++) expect(said).toContain(`Try ${n}, 1 December`);
  expect(pages.at(-1)?.marks.some((m) => m.kind === 'text' && m.text === 'A jug')).toBe(true);
});

test('more than fits a column goes on in the letter, and nothing runs off the page', () => {
  const long = Array.from({ length: 200 }, (_, k) => `Look at the ${k}th dark once more.`).join(' ');
  const [page] = portfolioPages(words([{ title: 'Five greys', tries: [tried(1, [long]), tried(2)] }]));
  if (!page) throw new Error('There is no page.');
  expect(textsOf(page)).toContain('… and more in the letter');
  const lowest = Math.max(...page.marks.flatMap((m) => (m.kind === 'text' ? [m.yMm] : [])));
  expect(lowest).toBeLessThan(PAPERS.a4.heightMm - 10);
});

test('a try without a picture and a student without any work have their page', () => {
  const bare = { ...tried(1), picture: null };
  expect(portfolioPages(words([{ title: 'Five greys', tries: [bare] }]))).toHaveLength(1);
  const [empty] = portfolioPages(words([]));
  expect(empty && textsOf(empty)).toContain('Nothing was handed in yet');
});
