/** What the Table shows of a family besides the draft, as plain data. */
import type { ExerciseTerms } from '@/core/exercise/terms';
import { exerciseLayout, kindOf, valuesOf } from '@/core/kinds/table';
import type { Teacher } from '../access/actor';
import { repaintWords } from '../critique/repainting';
import { readingsForEveryone, setUpOfExercise } from '../hand-in/notan-hand-ins';
import type { House } from '../house';
import type { AttemptView } from './attempt';
import type { Measured } from './measured';
import { standingOf, type tableOf } from './table';

type Whole = Awaited<ReturnType<typeof tableOf>>;

/** How the strip lies over its greys: as on the straightened picture, cells 2 mm apart in a margin of 2 mm. */
function rowOf({ terms }: AttemptView, { result }: Extract<Measured, { kind: 'scale' }>) {
  const { cells } = exerciseLayout(terms);
  const steps = valuesOf(terms).length;
  const tall = cells.length !== steps || result.capture.target === 'brackets';
  const perRow = tall ? steps : cells.filter((c) => c.yMm === cells[0]?.yMm).length;
  const gapPercent = tall ? 0.4 : 200 / (perRow * ((cells[0]?.widthMm ?? 18) + 2) + 2);
  return { perRow, gapPercent, tall };
}

/** The set-up that an exercise is painted from, as the Table needs it. */
async function setUpShown(house: House, { exercise }: Whole) {
  const setUp = await setUpOfExercise(house, exercise);
  return setUp && { id: setUp.id, title: setUp.title, masses: setUp.setUp.masses };
}

/** What a painting is looked at beside: what it is painted from, how it was before, or its first panel, if there is that. */
function besideOf(
  { kind, planes, lightness }: NonNullable<Extract<Measured, { kind: 'painting' }>['against']>,
  terms: ExerciseTerms,
) {
  if (kind !== 'itself') return 'reference' as const;
  if (planes === lightness) return 'nothing' as const;
  return kindOf(terms).againstItself === 'first-panel' ? ('first' as const) : ('before' as const);
}

/** Null where nothing was read that can be looked at. */
export async function tablePartOf(
  house: House,
  teacher: Teacher,
  table: Whole,
  shown: AttemptView | null,
  labels: readonly string[],
) {
  const measured = shown?.measured;
  if (!shown || !measured?.result.capture.accepted) return null;
  switch (measured.kind) {
    case 'scale':
      if (measured.result.steps.length === 0) return null;
      return {
        kind: 'scale' as const,
        measured,
        repaint: await repaintWords(house, table.class.id, shown.terms, measured.result, labels),
        row: rowOf(shown, measured),
      };
    case 'notan': {
      if (measured.result.tones.length === 0) return null;
      return {
        kind: 'notan' as const,
        measured,
        greys: valuesOf(shown.terms),
        standing: (await standingOf(house, teacher, shown.id)) ?? ('as-it-is' as const),
        setUp: await setUpShown(house, table),
        readingsForEveryone: await readingsForEveryone(house, table.exercise.id),
      };
    }
    case 'painting':
      if (!measured.against) return null;
      return {
        kind: 'painting' as const,
        measured,
        setUp: measured.against.kind === 'set-up' ? await setUpShown(house, table) : null,
        beside: besideOf(measured.against, shown.terms),
        standing: (await standingOf(house, teacher, shown.id)) ?? ('as-it-is' as const),
      };
  }
}
