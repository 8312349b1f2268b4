/** Drafts the critique of a painting. The same measurement and the same terms always get the same draft. */
import type { PaintingResult } from '../../painting/result';
import type { Finding } from '../finding';
import { allTold, chosenToTell, findingOf, type Rules, type Subject, type Told } from '../rule';
import { inOrder, type Ordered, type TellAll } from './actions/order';
import { adviceFor } from './actions/words';
import { COLOUR_RULES } from './rules/colour';
import { DRAWING_RULES } from './rules/drawing';
import type { PaintingFacts, PaintingReading } from './facts';
import { FORM_RULES } from './rules/form';
import { MODELLING_RULES } from './rules/modelling';
import { RESCUE_RULES } from './rules/rescue';
import { SHAPE_RULES } from './rules/shape';
import { STAGE_RULES, toldAt } from './rules/stage';
import { VALUE_RULES } from './rules/value';
import { WHOLE_RULES } from './rules/whole';
import { inTurn, PLAIN_VOICE, type Voice } from '../voice';
import { PAINTING_WORDS } from './words/registers';

/** What works is said in the order in which it is built up: the drawing, the values, the range. */
const { drawing_holds, ...drawingRules } = DRAWING_RULES;
export const PAINTING_RULES: Rules<PaintingReading, PaintingFacts> = {
  drawing_holds,
  ...STAGE_RULES,
  ...RESCUE_RULES,
  ...VALUE_RULES,
  ...WHOLE_RULES,
  ...FORM_RULES,
  ...COLOUR_RULES,
  ...SHAPE_RULES,
  ...MODELLING_RULES,
  ...drawingRules,
};

/** Before the last stage things may stand so many times further off: they are drawn again. */
const EARLY_SLACK = 2;

/** What a painting is judged by at its stage; null where nothing was read, or what was read would mislead. */
export function readingOf(result: PaintingResult, tolerance: number): PaintingReading | null {
  if (!result.capture.accepted || !(result.registration ?? result.stage ?? (result.fromLife || null))) return null;
  const slack = result.stage && !result.stage.last ? EARLY_SLACK : 1;
  return { result, step: result.step, tolerance, slack };
}

/** What weighs less is not told: two photographs of one painting differ by as much. */
const LEAST = 0.02;

/** All that is to be told of a painting at its stage, weighed by what its shapes weigh. */
export const tellAll: TellAll = (reading) => {
  const { result } = reading;
  const emphases = new Map(result.shapes.map((s) => [s.name, s.emphasis]));
  const emphasis = (subject: Subject) =>
    subject.kind === 'shape' && subject.name !== undefined ? (emphases.get(subject.name) ?? 1) : 1;
  return allTold(PAINTING_RULES, reading, emphasis).filter(
    ({ code, kind, weight }) => toldAt(result, code) && (kind === 'works' || weight >= LEAST),
  );
};

/** What a painting is told, in the order in which it is best mended; `told` is all of it in the order of the rules. */
export interface OrderedCritique extends Ordered {
  readonly reading: PaintingReading;
  readonly told: readonly Told<PaintingFacts>[];
}

/** Puts in order what is told of a painting where each part may be off by `tolerance` steps; null where nothing was read. */
export function orderedCritique(result: PaintingResult, tolerance: number): OrderedCritique | null {
  const reading = readingOf(result, tolerance);
  if (!reading) return null;
  const told = chosenToTell(PAINTING_RULES, tellAll(reading));
  return { reading, told, ...inOrder(tellAll, reading, told) };
}

const round2 = (v: number) => Math.round(v * 100) / 100;

/**
 * Findings for a painting that was read, where each part may be off by `tolerance` steps: what works, then what to mend, in the
 * order in which it is best done. None where nothing was read.
 */
export function critiquePainting(result: PaintingResult, tolerance: number, voice: Voice = PLAIN_VOICE): Finding[] {
  const critique = orderedCritique(result, tolerance);
  if (!critique) return [];
  const { reading, told, steps, cured } = critique;
  const spoken = { rules: PAINTING_RULES, words: PAINTING_WORDS[voice.register], names: {}, voice };
  const order = [...told.filter((t) => t.kind === 'works'), ...steps.map((s) => s.told), ...cured];
  const turns = new Map(inTurn(order, (t) => t.code).map(({ one, turn }) => [one, turn]));
  const inWords = (own: Told<PaintingFacts>) => findingOf(spoken, own, turns.get(own) ?? 0);
  return [
    ...told.filter((t) => t.kind === 'works').map(inWords),
    ...steps.map((step): Finding => {
      const finding = inWords(step.told);
      return {
        ...finding,
        do: adviceFor(step, finding.do, reading.step),
        evidence: { ...finding.evidence, removes: round2(step.removes), repaint: round2(step.action.area) },
      };
    }),
    ...cured.map(inWords),
  ];
}
