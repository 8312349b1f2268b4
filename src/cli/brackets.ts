/** `brackets`: writes the four corner pieces for a board and tells their geometry. */
import { bracketPage, drawBrackets } from '@/core/sheet/brackets';
import { PAPER_IDS } from '@/core/sheet/paper';
import { check, dpiOption, needed, oneOf, readOptions } from './arguments';
import { writeSheet } from './write-sheet';

export async function brackets(args: readonly string[]): Promise<unknown> {
  const { values } = readOptions(args, 'brackets');
  const page = bracketPage(oneOf(PAPER_IDS, values['paper'], '--paper', 'a4'));
  const dpi = check(dpiOption, values['dpi'] ?? '300', '--dpi');
  await writeSheet(drawBrackets(page), needed(values['out'], '--out'), dpi);
  const { widthMm, heightMm, paper } = page;
  return {
    widthMm,
    heightMm,
    dpi,
    layout: `FG1:brackets:4:${paper}`,
    cells: [],
    dabs: [],
    patches: page.patches.map(({ xMm, yMm, widthMm: w, heightMm: h, lightness, a, b }) => ({
      xMm,
      yMm,
      widthMm: w,
      heightMm: h,
      lightness,
      a,
      b,
    })),
    markers: page.markers,
    brackets: page.brackets,
  };
}
