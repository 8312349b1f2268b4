/** Rules about the picture as a whole: does it live in the middle, do its lights hang together, where does the eye go first? */
import { ofShape, PICTURE, type Rule } from '../../rule';
import type { PaintingFacts, PaintingReading, ScatteredFacts } from '../facts';
import { rangeIsShort } from './value';

/** A picture with this share of it in the middle third is one of middle greys; and so is one with so much more than its reference. */
const CROWDED = { alone: 0.85, beside: 0.2 } as const;
/** A tone that falls into so many more pieces than in the reference, and at least so many times as many, is scattered. */
const SCATTERED = { more: 4, times: 2.5 } as const;
/** Of the largest contrast less than this is left where it was meant, and no more was meant where it is. */
const ELSEWHERE = 0.7;
/** Seen at a glance, from across the room. */
const WHOLE_AREA = 0.36;
const SCATTERED_WEIGHT = 0.15;
const FOCUS_WEIGHT = 0.2;

const round2 = (v: number) => Math.round(v * 100) / 100;

type PaintingRule<C extends keyof PaintingFacts> = Rule<C, PaintingReading, PaintingFacts[C]>;

/** Only where light and dark are known: between marked corners a camera's own curve moves the middle. */
const wholeOf = ({ result }: PaintingReading) => (result.capture.mode === 'calibrated' ? result.whole : null);

const middleCrowded: PaintingRule<'middle_crowded'> = {
  code: 'middle_crowded',
  kind: 'fix',
  reads: (reading) => {
    const whole = wholeOf(reading);
    // Where the range is short the middle is crowded of itself, and that is told.
    if (!whole || rangeIsShort(reading)) return [];
    const wanted = whole.reference?.thirds.middle ?? null;
    return [{ subject: PICTURE, facts: { middle: whole.student.thirds.middle, wanted } }];
  },
  tells: ({ middle, wanted }) => (wanted === null ? middle > CROWDED.alone : middle - wanted > CROWDED.beside),
  weight: ({ middle, wanted }) => (middle - (wanted ?? CROWDED.alone / 2)) * Math.sqrt(WHOLE_AREA),
  evidence: ({ middle, wanted }) => ({ middle: round2(middle), ...(wanted !== null && { wanted: round2(wanted) }) }),
  source: 'a third of the range holds a third of a picture whose values are spread evenly',
};

const scattered = <C extends 'lights_scattered' | 'darks_scattered'>(
  code: C,
  of: 'lights' | 'darks',
): PaintingRule<C> => {
  const rule: Rule<C, PaintingReading, ScatteredFacts> = {
    code,
    kind: 'fix',
    reads: ({ result: { whole } }) => {
      const [own, wanted] = [whole?.student[of], whole?.reference?.[of]];
      return own && wanted ? [{ subject: PICTURE, facts: { pieces: own.pieces, wanted: wanted.pieces } }] : [];
    },
    tells: ({ pieces, wanted }) => pieces - wanted >= SCATTERED.more && pieces >= SCATTERED.times * wanted,
    weight: () => SCATTERED_WEIGHT,
    evidence: ({ pieces, wanted }) => ({ pieces, wanted }),
    source: 'a pattern is read at a glance as long as there are fewer shapes than one counts without counting',
  };
  return rule as PaintingRule<C>;
};

const focusElsewhere: PaintingRule<'focus_elsewhere'> = {
  code: 'focus_elsewhere',
  kind: 'fix',
  reads: ({ result: { whole } }) =>
    whole?.reference && whole.atFocus
      ? [
          {
            subject: ofShape('focus', undefined, whole.student.focus.box),
            facts: {
              painted: whole.student.focus.box,
              wanted: whole.reference.focus.box,
              atFocus: whole.atFocus,
            },
          },
        ]
      : [],
  tells: ({ atFocus: { student, reference } }) => student < ELSEWHERE && reference < ELSEWHERE,
  weight: () => FOCUS_WEIGHT,
  evidence: ({ atFocus }) => ({ painted: round2(atFocus.student), reference: round2(atFocus.reference) }),
  source: 'the eye goes first to where light and dark meet most sharply',
};

export const WHOLE_RULES = {
  middle_crowded: middleCrowded,
  lights_scattered: scattered('lights_scattered', 'lights'),
  darks_scattered: scattered('darks_scattered', 'darks'),
  focus_elsewhere: focusElsewhere,
} as const;
