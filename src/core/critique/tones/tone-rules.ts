/** Rules about the tones themselves: whether all are there, flat, and as light and dark as the paint goes. */
import { ofTone, PICTURE, type Rule } from '../rule';
import type { EndFacts, ToneFacts, ToneReading } from './facts';

/** A tone whose places vary less than this (L*) is flat; beyond twice of it, uneven. */
const FLAT = 3;
/** An end this much (L*) short of what the paint can do is told. */
export const SHORT = 8;
/** More than this share beyond what is due is not sparing. */
const SPARING = 0.03;
/** Where fewer seams than this lie between their neighbours it is told. */
const MOST_SEAMS = 0.85;
/** An end that is short by this much (L*) weighs as much as a flipped shape as large as the picture. */
const WHOLE_RANGE = 50;

const round2 = (v: number) => Math.round(v * 100) / 100;

type ToneRule<C extends keyof ToneFacts> = Rule<C, ToneReading, ToneFacts[C]>;

const flatTones: ToneRule<'flat_tones'> = {
  code: 'flat_tones',
  kind: 'works',
  reads: ({ result: { tones } }) => {
    const spread = tones.flatMap((t) => (t.spread === null ? [] : [t.spread]));
    return [{ subject: PICTURE, facts: { spread, all: spread.length === tones.length } }];
  },
  tells: ({ spread, all }) => all && spread.every((s) => s <= FLAT),
  weight: () => 0,
  evidence: ({ spread }) => ({ spread: spread.map(round2) }),
  source: 'three times what two flat patches side by side are told apart from',
};

const missingTone: ToneRule<'missing_tone'> = {
  code: 'missing_tone',
  kind: 'fix',
  reads: ({ result: { tones } }) =>
    tones.map((tone) => ({ subject: ofTone(tone.index), facts: { tone, count: tones.length } })),
  tells: ({ tone }) => tone.lightness === null,
  weight: ({ tone, count }) => Math.sqrt(tone.referenceShare ?? 1 / count),
  evidence: ({ tone: { index, referenceShare } }) => ({
    tone: index,
    ...(referenceShare !== null && { referenceShare: round2(referenceShare) }),
  }),
  source: 'a whole step, over the share that the reference gives it',
};

/** The dark end: known where white is, or where a painted frame stands for it. */
const greyForBlack: ToneRule<'grey_for_black'> = {
  code: 'grey_for_black',
  kind: 'fix',
  reads: ({ result: { tones, capture, frame }, ends }) => {
    const lightness = tones.at(-1)?.lightness ?? null;
    const byFrame = frame?.isDarkEnd ?? false;
    if (lightness === null || (capture.mode !== 'calibrated' && !byFrame)) return [];
    const target = byFrame ? (frame?.lightness ?? ends.dark) : ends.dark;
    return [{ subject: PICTURE, facts: { lightness, target, frame: frame?.lightness ?? null } }];
  },
  tells: ({ lightness, target }) => lightness > target + SHORT,
  weight: ({ lightness, target }) => (lightness - target) / WHOLE_RANGE,
  evidence: ({ lightness, target, frame }: EndFacts) => ({
    lightness: round2(lightness),
    target: round2(target),
    ...(frame !== null && { frame: round2(frame) }),
  }),
  source: 'further than two coats of one black lie apart',
};

const greyForWhite: ToneRule<'grey_for_white'> = {
  code: 'grey_for_white',
  kind: 'fix',
  reads: ({ result: { tones, capture }, ends }) => {
    const lightness = tones[0]?.lightness ?? null;
    if (lightness === null || capture.mode !== 'calibrated') return [];
    return [{ subject: PICTURE, facts: { lightness, target: ends.light, frame: null } }];
  },
  tells: ({ lightness, target }) => lightness < target - SHORT,
  weight: ({ lightness, target }) => (target - lightness) / WHOLE_RANGE,
  evidence: ({ lightness, target }) => ({ lightness: round2(lightness), target }),
  source: 'further than two coats of one white lie apart',
};

const unevenTone: ToneRule<'uneven_tone'> = {
  code: 'uneven_tone',
  kind: 'fix',
  reads: ({ result: { tones } }) =>
    tones.flatMap(({ index, spread, share }) =>
      spread === null ? [] : [{ subject: ofTone(index), facts: { tone: index, spread, share } }],
    ),
  tells: ({ spread }) => spread > 2 * FLAT,
  weight: ({ spread, share }) => (spread / 20) * Math.sqrt(share),
  evidence: ({ tone, spread }) => ({ tone, spread: round2(spread) }),
  source: 'then it reads as several values',
};

/** The lightest last, and little of it. From life, more than its even share is not sparing. */
const whiteNotSparing: ToneRule<'white_not_sparing'> = {
  code: 'white_not_sparing',
  kind: 'fix',
  reads: ({ result: { tones }, whiteSparing }) => {
    const white = tones[0];
    if (!whiteSparing || !white) return [];
    const due = white.referenceShare ?? 1 / tones.length;
    return [{ subject: PICTURE, facts: { share: white.share, due, hasReference: white.referenceShare !== null } }];
  },
  tells: ({ share, due }) => share > due + SPARING,
  weight: ({ share, due }) => share - due,
  evidence: ({ share, due }) => ({ share: round2(share), referenceShare: round2(due) }),
  source: 'a choice of the exercise',
};

const seamsStandOut: ToneRule<'seams_stand_out'> = {
  code: 'seams_stand_out',
  kind: 'fix',
  reads: ({ result: { seams } }) => (seams === null ? [] : [{ subject: PICTURE, facts: { between: seams } }]),
  tells: ({ between }) => between < MOST_SEAMS,
  weight: ({ between }) => 0.5 * (1 - between),
  evidence: ({ between }) => ({ between: round2(between) }),
  source: 'seams that lie between their neighbours are the point of a study in five values',
};

export const TONE_RULES = {
  flat_tones: flatTones,
  missing_tone: missingTone,
  grey_for_black: greyForBlack,
  grey_for_white: greyForWhite,
  uneven_tone: unevenTone,
  white_not_sparing: whiteNotSparing,
  seams_stand_out: seamsStandOut,
} as const;
