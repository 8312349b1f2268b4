/** The question of each stage of a painting that is built up in stages: praise where it came out, one thing to mend where not. */
import type { StageQuestion } from '../../../painting/stage';
import { ofShape, PICTURE, type Rule } from '../../rule';
import type { PaintingFacts, PaintingReading } from '../facts';

/** A stain whose patches lie further apart, L*, is no one tone any more; half of that is told as even. */
const UNEVEN = 8;
/** Two masses are apart from here on, steps. */
const APART = 0;
/** A glaze that takes away this share of the contrast between neighbours has dulled them, and half of it is none. */
const DULLED = 0.15;
/** A question of all the painting weighs as much as a step over this share of it. */
const WHOLE_AREA = 0.25;

const round2 = (v: number) => Math.round(v * 100) / 100;

type PaintingRule<C extends keyof PaintingFacts> = Rule<C, PaintingReading, PaintingFacts[C]>;

const stageOf = ({ result: { stage } }: PaintingReading, asks: StageQuestion) => (stage?.asks === asks ? stage : null);

const stains = (reading: PaintingReading) => {
  const unevenness = stageOf(reading, 'even')?.unevenness ?? null;
  return unevenness === null ? [] : [{ subject: PICTURE, facts: { unevenness } }];
};

const stainEven: PaintingRule<'stain_even'> = {
  code: 'stain_even',
  kind: 'works',
  reads: stains,
  tells: ({ unevenness }) => unevenness <= UNEVEN,
  weight: () => 0,
  evidence: ({ unevenness }) => ({ unevenness: round2(unevenness) }),
  source: 'less than a step of a scale of nine from patch to patch',
};

const stainUneven: PaintingRule<'stain_uneven'> = {
  code: 'stain_uneven',
  kind: 'fix',
  reads: stains,
  tells: ({ unevenness }) => unevenness > UNEVEN,
  weight: ({ unevenness }) => (unevenness / UNEVEN) * Math.sqrt(WHOLE_AREA),
  evidence: ({ unevenness }) => ({ unevenness: round2(unevenness) }),
  source: 'from a step on, values painted over it are seen against two grounds',
};

const masses = (reading: PaintingReading) => {
  const apart = stageOf(reading, 'two-masses')?.apart ?? null;
  return apart === null ? [] : [{ subject: PICTURE, facts: { apart: apart / reading.step } }];
};

const massesApart: PaintingRule<'masses_apart'> = {
  code: 'masses_apart',
  kind: 'works',
  reads: masses,
  tells: ({ apart }) => apart > APART,
  weight: () => 0,
  evidence: ({ apart }) => ({ steps: round2(apart) }),
  source: 'all but a twentieth of the light lies above all but a twentieth of the dark',
};

const massesMeet: PaintingRule<'masses_meet'> = {
  code: 'masses_meet',
  kind: 'fix',
  reads: masses,
  tells: ({ apart }) => apart <= APART,
  weight: ({ apart }) => (1 - apart) * Math.sqrt(WHOLE_AREA),
  evidence: ({ apart }) => ({ steps: round2(apart) }),
  source: 'all but a twentieth of the light lies above all but a twentieth of the dark where masses are apart',
};

const greysInOrder: PaintingRule<'greys_in_order'> = {
  code: 'greys_in_order',
  kind: 'works',
  reads: (reading) =>
    stageOf(reading, 'order')?.swapped.length === 0 ? [{ subject: PICTURE, facts: { pairs: 0 } }] : [],
  tells: () => true,
  weight: () => 0,
  evidence: () => ({ pairs: 0 }),
  source: 'no part that should be a step lighter than another is darker than it',
};

const greysSwapped: PaintingRule<'greys_swapped'> = {
  code: 'greys_swapped',
  kind: 'fix',
  reads: (reading) =>
    (stageOf(reading, 'order')?.swapped ?? []).map((pair, k) => ({
      subject: ofShape(`pair ${k + 1}`, undefined, pair.lighter),
      facts: pair,
    })),
  tells: () => true,
  weight: ({ lighter, by }) => (by / UNEVEN) * Math.sqrt(lighter.width * lighter.height),
  evidence: ({ by }) => ({ by: round2(by) }),
  source: 'a third of a step the wrong way round where the reference has a whole one is no doubt of the eye',
};

const glazed = (reading: PaintingReading) => {
  const { rescue, range } = reading.result;
  if (!stageOf(reading, 'kept') || !rescue || !range) return [];
  const before = range.student.p95 - range.student.p5 - rescue.range;
  return [{ subject: PICTURE, facts: { lost: -rescue.range / Math.max(1, before) } }];
};

const valuesKept: PaintingRule<'values_kept'> = {
  code: 'values_kept',
  kind: 'works',
  reads: glazed,
  tells: ({ lost }) => lost <= DULLED / 2,
  weight: () => 0,
  evidence: ({ lost }) => ({ lost: round2(lost) }),
  source: 'half of what is told as lost',
};

const valuesLost: PaintingRule<'values_lost'> = {
  code: 'values_lost',
  kind: 'fix',
  reads: glazed,
  tells: ({ lost }) => lost > DULLED,
  weight: ({ lost }) => 4 * lost * Math.sqrt(WHOLE_AREA),
  evidence: ({ lost }) => ({ lost: round2(lost) }),
  source: 'a step of nine is an eighth of the range: less than one is what any glaze takes',
};

export const STAGE_RULES = {
  stain_even: stainEven,
  masses_apart: massesApart,
  greys_in_order: greysInOrder,
  values_kept: valuesKept,
  stain_uneven: stainUneven,
  masses_meet: massesMeet,
  greys_swapped: greysSwapped,
  values_lost: valuesLost,
} as const;

/** Codes that say something at each question before the last stage; the last one says all. */
const DRAWING: readonly string[] = [
  'drawing_holds',
  'feature_moved',
  'gap_off',
  'picture_moved',
  'picture_turned',
  'picture_sized',
];
const EARLY: Record<StageQuestion, readonly string[]> = {
  even: ['stain_even', 'stain_uneven'],
  'two-masses': [...DRAWING, 'masses_apart', 'masses_meet'],
  order: [...DRAWING, 'greys_in_order', 'greys_swapped', 'values_hold', 'part_off', 'form_broken'],
  'as-it-was': ['middle_crowded'],
  rescued: [],
  'first-panel': ['middle_crowded'],
  'like-the-first': [],
  kept: [...DRAWING, 'values_kept', 'values_lost', 'values_hold', 'part_off', 'form_broken'],
};

/** Whether a code is told at the stage of a painting. */
export const toldAt = ({ stage }: PaintingReading['result'], code: string): boolean =>
  !stage || (stage.last && stage.asks !== 'even') || EARLY[stage.asks].includes(code);
