/** Every sentence that can be said to somebody, by its code: to be read through, and to be measured for how hard it is to read. */
import { SAMPLE_FACTS as CORRECTION } from './correction/sample-facts';
import { CORRECTION_WORDS } from './correction/words';
import { SAMPLE_FACTS as PAINTING } from './painting/sample-facts';
import { PAINTING_WORDS } from './painting/words/registers';
import type { Catalogue } from './rule';
import { SAMPLE_FACTS as SCALE } from './scale/sample-facts';
import { SCALE_WORDS } from './scale/registers';
import { SAMPLE_FACTS as TONES } from './tones/sample-facts';
import { TONE_WORDS } from './tones/registers';
import type { Register, Said } from './voice';

export interface Sentence {
  readonly code: string;
  readonly what: 'say' | 'do';
  readonly text: string;
}

function sentencesOf<Facts, Names>(
  words: Catalogue<Facts, Names>,
  samples: { readonly [C in keyof Facts]: readonly Facts[C][] },
  names: Names,
): Sentence[] {
  return (Object.keys(samples) as (keyof Facts & string)[]).flatMap((code) => {
    const own = words[code];
    const told = (what: 'say' | 'do', said: Said | null) => [said ?? []].flat().map((text) => ({ code, what, text }));
    return samples[code].flatMap((facts) => [
      ...told('say', own.say(facts, names)),
      ...told('do', own.do(facts, names)),
    ]);
  });
}

const LABELS = ['1', '2', '3', '4', '5'];

export const allSaid = (register: Register): Sentence[] => [
  ...sentencesOf(SCALE_WORDS[register], SCALE, { labels: LABELS, lightFirst: true }),
  ...sentencesOf(TONE_WORDS[register], TONES, { labels: LABELS.slice(0, 3) }),
  ...sentencesOf(PAINTING_WORDS[register], PAINTING, {}),
  ...sentencesOf(CORRECTION_WORDS[register], CORRECTION, {}),
];
