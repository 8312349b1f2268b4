/** A page to lay beside the palette: how each step is mixed, in which order, and how much of it. */
import { lightnessToGreyCode } from '../colour/grey-code';
import { type PaintId, PAINTS } from '../exercise/paints';
import type { ExerciseTerms } from '../exercise/terms';
import { boxMm } from '../geometry/box';
import { recipeOf } from '../kinds/exercise-recipe';
import { recipeLines, sayBeyond, sayMillilitres } from '../mixing/recipe-words';
import { type Mark, type SheetDrawing, text } from '../sheet/drawing';
import { PAPERS } from '../sheet/paper';
import type { ExerciseWords } from './exercise-sheet';

const MARGIN_MM = 20;
const ROW_MM = 9;
const COLUMN = { name: 12, mix: 34, amount: 118, note: 138 } as const;

/** The recipe of an exercise; null where its paints make no row of steps. */
export function drawRecipePage(terms: ExerciseTerms, words: ExerciseWords): SheetDrawing | null {
  const recipe = recipeOf(terms, words.figures);
  if (!recipe) return null;
  const { widthMm, heightMm } = PAPERS[terms.paper];
  const wrapMm = widthMm - 2 * MARGIN_MM;
  const tubes = (Object.entries(recipe.tubes) as [PaintId, number][])
    .map(([p, ml]) => `${PAINTS[p].name} ${sayMillilitres(ml)}`)
    .join(', ');
  const marks: Mark[] = [
    text(`${words.title}: the mixes`, MARGIN_MM, MARGIN_MM + 4, 6, { weight: 'strong' }),
    text([words.className, words.name].filter(Boolean).join(' · '), MARGIN_MM, MARGIN_MM + 12, 4),
    text(
      'Mix from top to bottom. Parts are by volume: measure them with the same spoon or drops, stir right through, and try a dab.',
      MARGIN_MM,
      MARGIN_MM + 20,
      4,
      { wrapMm },
    ),
  ];
  let y = MARGIN_MM + 38;
  const head = (words: string, x: number) => marks.push(text(words, MARGIN_MM + x, y, 3.4, { weight: 'strong' }));
  head('step', COLUMN.name);
  head('mix', COLUMN.mix);
  head('amount', COLUMN.amount);
  y += 4;
  const all = [...recipe.steps, ...recipe.onTheWay];
  for (const line of recipeLines(recipe, words.labels)) {
    const lightness = all.find((p) => p.step === line.step)?.lab[0] ?? 50;
    marks.push(
      { kind: 'fill', box: boxMm(MARGIN_MM, y, 9, ROW_MM - 2), code: lightnessToGreyCode(lightness) },
      { kind: 'outline', box: boxMm(MARGIN_MM, y, 9, ROW_MM - 2), code: 150, lineMm: 0.2 },
      text(line.name, MARGIN_MM + COLUMN.name, y + 5, 4, { weight: 'strong' }),
      text(line.mix, MARGIN_MM + COLUMN.mix, y + 4, 3.6),
      ...(line.orFromLeft ? [text(`or ${line.orFromLeft}`, MARGIN_MM + COLUMN.mix, y + 7.4, 2.6, { code: 70 })] : []),
      text(line.amount, MARGIN_MM + COLUMN.amount, y + 5, 3.6),
      text(
        [line.washFirst && 'wash the brush first', line.coats > 1 && `${line.coats} coats`].filter(Boolean).join(', '),
        MARGIN_MM + COLUMN.note,
        y + 5,
        3.2,
      ),
    );
    y += ROW_MM;
  }
  const beyond = sayBeyond(recipe, words.labels);
  for (const say of [
    `From the tubes: ${tubes}, what stays on the palette included. All amounts are estimates.`,
    beyond,
  ].filter(Boolean)) {
    y += 7;
    marks.push(text(say, MARGIN_MM, y, 4, { wrapMm }));
    y += 5;
  }
  return { widthMm, heightMm, title: `${words.title}: the mixes`, marks };
}
