/** Drafts the critique of a painting in few tones. The same measurement and the same terms always get the same draft. */
import { type NumberingId, stepLabels } from '../../exercise/numbering';
import type { Ends } from '../../exercise/scale';
import type { NotanResult } from '../../notan/result';
import type { Finding } from '../finding';
import { drafted, type Rules } from '../rule';
import { PLAIN_VOICE, type Voice } from '../voice';
import type { ToneFacts, ToneReading } from './facts';
import { MASS_RULES } from './mass-rules';
import { PICTURE_RULES } from './picture-rules';
import { TONE_RULES } from './tone-rules';
import { TONE_WORDS } from './registers';

/** What works is said in the order in which it stands here: the big shapes first, the decision last. */
const { big_shapes, decided, ...pictureRules } = PICTURE_RULES;
const { flat_tones, ...toneRules } = TONE_RULES;
export const TONES_RULES: Rules<ToneReading, ToneFacts> = {
  big_shapes,
  flat_tones,
  ...MASS_RULES,
  decided,
  ...pictureRules,
  ...toneRules,
};

/** What is asked for beyond the tones themselves, and how it is put. */
export interface ToneAsks {
  /** Whether the lightest tone is to be used sparingly. */
  readonly whiteSparing?: boolean;
  /** How the class numbers its values; from white unless said. */
  readonly numbering?: NumberingId;
}

/** Findings for a painting whose tones were read; none where nothing was read, or what was read would mislead. */
export function critiqueTones(
  result: NotanResult,
  ends: Ends,
  { whiteSparing = false, numbering = 'white-is-one' }: ToneAsks = {},
  voice: Voice = PLAIN_VOICE,
): Finding[] {
  if (!result.capture.accepted || result.tones.length === 0) return [];
  // What was aimed at is kept with what was measured: a study in a high key is asked for no darker dark.
  const [light, dark] = [result.targets?.[0] ?? ends.light, result.targets?.at(-1) ?? ends.dark];
  const scale = { steps: result.tones.length, order: 'light-first' as const, spacing: 'lightness' as const, ends };
  const names = { labels: stepLabels(numbering, scale) };
  return drafted(
    { rules: TONES_RULES, words: TONE_WORDS[voice.register], names, voice },
    { result, ends: { light, dark }, whiteSparing },
  );
}
