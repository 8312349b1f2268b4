/** What was to be mended last time and is not found any longer in the next try: ticked off by measurement, and said first. */
import { boxesMeet } from '../geometry/share-box';
import { CORRECTION_RULES } from './correction/findings';
import { type Finding, OWN_WORD } from './finding';
import type { SaidItem } from './letter';
import type { Register, Said, Voice } from './voice';
import { oneWay } from './voice';

/** What the teacher said or drew: no measurement tells whether it was mended. */
const BY_THE_TEACHER = new Set([OWN_WORD, ...Object.keys(CORRECTION_RULES)]);
/** The code of what was mended. */
export const CURED = 'cured';

/** Steps that both are about; of what is about none, nothing is said. */
const shareSteps = (a: Finding, b: Finding): boolean => a.where.steps.some((step) => b.where.steps.includes(step));

/** Whether two findings of different tries say the same of the same place. */
function isSame(a: Finding, b: Finding): boolean {
  if (a.code !== b.code) return false;
  if (a.where.shape !== undefined || b.where.shape !== undefined) return a.where.shape === b.where.shape;
  if (a.where.box && b.where.box) return boxesMeet(a.where.box, b.where.box);
  if (a.where.steps.length > 0 || b.where.steps.length > 0) return shareSteps(a, b);
  return a.key === b.key;
}

const WORDS: Record<Register, (before: string) => Said> = {
  children: (before) => [`You fixed it! Last time it was: “${before}”`, `Well done, this is right now: “${before}”`],
  beginners: (before) => [`Mended since last time: “${before}”`, `This was to be mended, and is: “${before}”`],
  advanced: (before) => `Resolved since the last state: “${before}”`,
};

/**
 * What a letter asked for and the next try no longer shows, as findings of what works. What the teacher said by themselves, dropped
 * or could not be measured is not among it.
 */
export function curedSince(before: readonly SaidItem[], draft: readonly Finding[], voice: Voice): Finding[] {
  if (draft.length === 0) return [];
  const fixes = draft.filter((f) => f.kind === 'fix');
  return before
    .filter(({ original, dropped }) => original.kind === 'fix' && !BY_THE_TEACHER.has(original.code) && !dropped)
    .filter(({ original }) => !fixes.some((f) => isSame(f, original)))
    .map(({ original, say }, turn): Finding => {
      const key = `${CURED} ${original.key}`;
      const said = WORDS[voice.register](say ?? original.say);
      return {
        ...{ key, code: CURED, kind: 'works', weight: 0, where: original.where, evidence: {}, do: null },
        say: oneWay(said, voice, CURED, turn),
      };
    });
}
