/** Drafts the critique of a painting. The same measurement and the same terms always get the same draft. */
import type { PaintingResult } from '../../painting/result';
import type { Finding } from '../finding';
import { drafted, type Register, type Rules } from '../rule';
import { COLOUR_RULES } from './colour-rules';
import { DRAWING_RULES } from './drawing-rules';
import type { PaintingFacts, PaintingReading } from './facts';
import { FORM_RULES } from './form-rules';
import { MODELLING_RULES } from './modelling-rules';
import { RESCUE_RULES } from './rescue-rules';
import { SHAPE_RULES } from './shape-rules';
import { STAGE_RULES, toldAt } from './stage-rules';
import { VALUE_RULES } from './value-rules';
import { WHOLE_RULES } from './whole-rules';
import { PAINTING_WORDS } from './words';

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

/** Findings for a painting that was read, where each part may be off by `tolerance` steps; none where nothing was, or what was read would mislead. */
export function critiquePainting(result: PaintingResult, tolerance: number, register: Register = 'studio'): Finding[] {
  if (!result.capture.accepted || !(result.registration ?? result.stage ?? (result.fromLife || null))) return [];
  const slack = result.stage && !result.stage.last ? EARLY_SLACK : 1;
  return drafted(PAINTING_RULES, PAINTING_WORDS[register], { result, step: result.step, tolerance, slack }, {}).filter(
    (f) => toldAt(result, f.code),
  );
}
