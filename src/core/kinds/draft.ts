/** The draft of a critique: what a measured hand-in has to tell, by the rules of its family and the terms of its exercise. */
import { CORRECTION_RULES } from '../critique/correction/findings';
import type { Finding } from '../critique/finding';
import { critiquePainting, PAINTING_RULES } from '../critique/painting/critique';
import { critiqueScale, SCALE_RULES } from '../critique/scale/critique';
import { critiqueTones, TONES_RULES } from '../critique/tones/critique';
import { PLAIN_VOICE, type Voice } from '../critique/voice';
import { type Sources, type Why, whyOf } from '../critique/why';
import type { NumberingId } from '../exercise/numbering';
import { type ExerciseTerms, isPicture, isStepped, type PictureTerms } from '../exercise/terms';
import type { PaintingResult } from '../painting/result';
import type { MeasuredResult } from './measured-result';
import { handInStagesOf } from './table';

const RULES: Record<MeasuredResult['kind'], Sources> = {
  scale: SCALE_RULES,
  notan: TONES_RULES,
  painting: PAINTING_RULES,
};

/** Why a finding of a measurement is said. */
export const whyIn = (kind: MeasuredResult['kind'], finding: Finding): Why =>
  whyOf(finding, { ...CORRECTION_RULES, ...RULES[kind] });

/** What its stage, or else the exercise, allows a part to be off by, steps. */
const toleranceAt = ({ stage }: PaintingResult, terms: PictureTerms): number =>
  handInStagesOf(terms).find((s) => s.asks === stage?.asks)?.toleranceSteps ?? terms.toleranceSteps;

/** Findings, what works first. The same measurement under the same terms always has the same to tell, said in the same voice. */
export function draftOf(
  result: MeasuredResult,
  terms: ExerciseTerms,
  numbering: NumberingId,
  voice: Voice = PLAIN_VOICE,
): Finding[] {
  switch (result.kind) {
    case 'scale':
      return isStepped(terms) ? critiqueScale(result, terms, numbering, voice) : [];
    case 'notan': {
      const whiteSparing = 'whiteSparing' in terms && terms.whiteSparing;
      return critiqueTones(result, terms.ends, { whiteSparing, numbering }, voice);
    }
    case 'painting':
      return isPicture(terms) ? critiquePainting(result, toleranceAt(result, terms), voice) : [];
  }
}
