/** What all kinds have in common whose sheet is a row of steps. */
import { orderOfWork } from '../../exercise/order-of-work';
import { targetLightnesses } from '../../exercise/targets';
import type { SteppedTerms } from '../../exercise/terms';
import type { SheetWords } from '../../sheet/drawing';
import { drawScaleSheet } from '../../sheet/drawing';
import type { ScaleLayout } from '../../sheet/scale-layout';
import { FRAMINGS, type Kind, type ValueArea } from '../kind';

export const stepValues = (terms: SteppedTerms): number[] =>
  targetLightnesses(terms.steps, terms.ends, terms.order, terms.spacing);

export const stepWork = (terms: SteppedTerms, labels: readonly string[], mixing: readonly string[] | null) =>
  orderOfWork(terms.steps, terms.order, terms.workOrder, labels, mixing);

/** Each cell in its value, and of all of them a share of the test dabs. */
export function stepAreas(values: readonly number[], { cells, dabs }: ScaleLayout): ValueArea[] {
  const dab = dabs.reduce((sum, d) => sum + d.widthMm * d.heightMm, 0) / values.length;
  return values.map((lightness, i) => {
    const cell = cells[i];
    return { lightness, areaMm2: (cell ? cell.widthMm * cell.heightMm : 0) + dab };
  });
}

export const cellWidths = ({ cells }: Pick<ScaleLayout, 'cells'>): number[] =>
  cells.map((c) => Math.min(c.widthMm, c.heightMm));

/** The sheet of a row of steps. */
export function drawSteps(layout: ScaleLayout, terms: SteppedTerms, words: SheetWords) {
  return drawScaleSheet(layout, words, terms.kind);
}

/** The parts of a kind that follow from its row of steps alone. */
export function stepped<T extends SteppedTerms>(layout: (terms: T) => ScaleLayout) {
  return {
    framings: () => FRAMINGS,
    sheet: 'row',
    looks: true,
    alwaysOnPaper: true,
    values: stepValues,
    numbered: (terms: T) => terms,
    layout,
    draw: (terms: T, words: SheetWords) => drawSteps(layout(terms), terms, words),
    widths: (terms: T) => cellWidths(layout(terms)),
    areas: (terms: T) => stepAreas(stepValues(terms), layout(terms)),
    work: stepWork,
    row: ({ order, workOrder }: T) => ({ order, work: workOrder, hue: null }),
    wanted: () => null,
  } satisfies Partial<Kind<T>>;
}
