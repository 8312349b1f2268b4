/**
 * Drafts the critique of a measured scale. It reads only the measurement and the terms of the exercise, so the same
 * hand-in always gets the same draft; the teacher's own words are kept elsewhere.
 */
import { type NumberingId, stepLabels } from '../../exercise/numbering';
import type { ScaleTerms } from '../../scale/flags';
import type { ScaleResult } from '../../scale/result';
import type { Finding } from '../finding';
import { drafted, type Rules } from '../rule';
import { PLAIN_VOICE, type Voice } from '../voice';
import { CRAFT_RULES } from './craft-rules';
import { type ScaleFacts, type ScaleReading, scaleReading } from './facts';
import { STRENGTH_RULES } from './strength-rules';
import { VALUE_RULES } from './value-rules';
import { SCALE_WORDS } from './registers';

export const SCALE_RULES: Rules<ScaleReading, ScaleFacts> = { ...STRENGTH_RULES, ...VALUE_RULES, ...CRAFT_RULES };

/** Findings for a measurement with its steps; none where nothing was read, or what was read would mislead. */
export function critiqueScale(
  result: ScaleResult,
  terms: ScaleTerms,
  numbering: NumberingId,
  voice: Voice = PLAIN_VOICE,
): Finding[] {
  if (!result.capture.accepted || result.steps.length === 0) return [];
  const names = { labels: stepLabels(numbering, terms), lightFirst: terms.order === 'light-first' };
  return drafted({ rules: SCALE_RULES, words: SCALE_WORDS[voice.register], names, voice }, scaleReading(result, terms));
}
