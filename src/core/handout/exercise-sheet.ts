/** The sheet of any kind of exercise, and the handout that goes with it. */
import { brushesFor } from '../exercise/brushes';
import { type PaintId, PAINTS } from '../exercise/paints';
import { type ExerciseTerms } from '../exercise/terms';
import { recipeOf } from '../kinds/exercise-recipe';
import type { Kind } from '../kinds/kind';
import { paintFor } from '../kinds/quantities';
import { kindOf, shapeWidths, workLines } from '../kinds/table';
import type { Figures } from '../mixing/paint-model';
import { puddleName } from '../mixing/recipe-words';
import { type Mark, type SheetDrawing, text } from '../sheet/drawing';
import { PAPERS } from '../sheet/paper';

/** How a kind is judged, where that is not always by what is measured. */
const JUDGED: Record<`${Kind['measured']}`, string | null> = {
  true: null,
  'with-reference':
    'Where it is painted from a picture or a set-up that your teacher prepared, what you painted is measured against that; otherwise by your teacher’s eye.',
  'with-picture':
    'Where it is painted from a picture that your teacher prepared, its values and its drawing are measured against that; otherwise by your teacher’s eye.',
  false: 'By your teacher’s eye: Fair Grey keeps and shows the photograph and does not measure this kind yet.',
};

export interface ExerciseWords {
  readonly title: string;
  readonly className: string;
  /** The student's display name, or a number where a glyph is missing; empty for a sheet to all. */
  readonly name: string;
  /** The class's names of the steps in reading order; empty for kinds without steps. */
  readonly labels: readonly string[];
  /** When it is due, in words; empty for no date. */
  readonly due: string;
  /** All cautions, for the handout. */
  readonly care: string;
  /** The few that fit beside the work on a sheet of steps. */
  readonly careInShort: string;
  readonly exercise: string | null;
  readonly student: string | null;
  /** What the class knows of its paints. */
  readonly figures: Figures;
}

/** The puddles by name in the order to mix them; null where there is no recipe. */
function mixingNames(terms: ExerciseTerms, { figures, labels }: ExerciseWords): string[] | null {
  const recipe = recipeOf(terms, figures);
  return recipe && recipe.order.map((step) => puddleName(recipe, step, labels));
}

/** The sheet to paint on. Throws DoesNotFit when bands are asked for that the frame can't hold. */
export function drawExerciseSheet(terms: ExerciseTerms, words: ExerciseWords): SheetDrawing {
  const { title, name, labels, exercise, student, className, careInShort } = words;
  const kind = kindOf(terms);
  return kind.draw(terms, {
    ...{ title, name, labels, exercise, student },
    subtitle: `${className} · ${kind.inShort(terms)}`,
    work: kind.work(terms, labels, mixingNames(terms, words)),
    care: careInShort,
  });
}

const MARGIN_MM = 20;
const LINE_MM = 4;
/** Mean width of a letter of the shipped sans, as a share of its size; a little wide, so that blocks never meet. */
const LETTER = 0.5;
const LEADING_MM = 1.3 * LINE_MM;

function linesOf(words: string, widthMm: number): number {
  return words
    .split('\n')
    .reduce((sum, line) => sum + Math.max(1, Math.ceil((line.length * LETTER * LINE_MM) / widthMm)), 0);
}

/** A page of words: what to do, in which order, with which brushes, and what to take care of. */
export function drawHandout(terms: ExerciseTerms, words: ExerciseWords): SheetDrawing {
  const { widthMm, heightMm } = PAPERS[terms.paper];
  const column = widthMm - 2 * MARGIN_MM;
  const marks: Mark[] = [];
  let y = MARGIN_MM + 4;
  const say = (words: string, weight: 'regular' | 'strong' = 'regular', sizeMm = LINE_MM) => {
    marks.push(text(words, MARGIN_MM, y, sizeMm, { weight, wrapMm: column }));
    y += linesOf(words, column) * LEADING_MM * (sizeMm / LINE_MM);
  };
  const part = (heading: string, body: string) => {
    y += 4;
    say(heading, 'strong');
    say(body);
  };
  say(words.title, 'strong', 6);
  say([words.className, words.name, words.due && `due ${words.due}`].filter(Boolean).join(' · '));
  part('What to do', kindOf(terms).task);
  part(
    'Order of work',
    workLines(terms, words.labels, mixingNames(terms, words))
      .map((line, i) => `${i + 1}.  ${line}`)
      .join('\n'),
  );
  const [least, most] = kindOf(terms).minutes;
  part('Time', `About ${least} to ${most} minutes, drying not counted.`);
  part(
    'Brushes, large to small',
    brushesFor(shapeWidths(terms))
      .map((b) => `flat ${b} mm`)
      .join(', '),
  );
  const need = Object.entries(paintFor(terms, words.figures)) as [PaintId, number][];
  part(
    'About how much',
    `${need.map(([p, ml]) => `${PAINTS[p].name} ${ml < 1 ? ml.toFixed(2) : ml.toFixed(1)} ml`).join(', ')}: what stays on the palette included, an estimate.`,
  );
  part('Care', words.care);
  const judged = JUDGED[`${kindOf(terms).measured}`];
  if (judged) part('How it is judged', judged);
  return { widthMm, heightMm, title: words.title, marks };
}
