/** What became of an old painting that was reworked: told by what changed between its two states. */
import { PICTURE, type Rule } from '../../rule';
import type { PaintingFacts, PaintingReading, Rescued } from '../facts';

/** Half a step of nine, L*: less is what two photographs of one painting may differ by. */
const WIDER = 5;
/** A twelfth of the picture that has left the middle third is seen. */
const CLEARER = 0.08;
/** Neighbours further apart by this, L*, on the mean of all of them. */
const FURTHER = 1.5;
/** Less than this share painted over is no rework. */
const HARDLY = 0.03;
const WHOLE_AREA = 0.36;

const round1 = (v: number) => Math.round(v * 10) / 10;
const round2 = (v: number) => Math.round(v * 100) / 100;

const rescues = ({ result: { stage, rescue } }: PaintingReading) =>
  (stage === null || stage.asks === 'rescued') && rescue ? [{ subject: PICTURE, facts: rescue }] : [];

const evidence = ({ repainted, range, crowding, contrast }: Rescued) => ({
  repainted: round2(repainted),
  range: round1(range),
  middle: round2(crowding),
  contrast: round1(contrast),
});

type Code = 'rescue_reaches' | 'rescue_clearer' | 'rescue_contrast' | 'rescue_narrower' | 'rescue_untouched';

interface Told {
  readonly tells: (rescued: Rescued) => boolean;
  /** Left out of what works. */
  readonly weight?: (rescued: Rescued) => number;
  readonly source: string;
}

const rule = <C extends Code>(
  code: C,
  { tells, weight, source }: Told,
): Rule<C, PaintingReading, PaintingFacts[C]> => ({
  code,
  kind: weight ? 'fix' : 'works',
  reads: rescues,
  tells,
  weight: (facts) => weight?.(facts) ?? 0,
  evidence,
  source,
});

export const RESCUE_RULES = {
  rescue_reaches: rule('rescue_reaches', {
    tells: ({ range }) => range >= WIDER,
    source: 'half a step of nine more between its lightest and its darkest twentieth',
  }),
  rescue_clearer: rule('rescue_clearer', {
    tells: ({ crowding }) => crowding <= -CLEARER,
    source: 'a twelfth of the picture that has left the middle third',
  }),
  rescue_contrast: rule('rescue_contrast', {
    tells: ({ contrast }) => contrast >= FURTHER,
    source: 'neighbours further apart than two photographs of one painting differ',
  }),
  rescue_narrower: rule('rescue_narrower', {
    tells: ({ range, repainted }) => range <= -WIDER && repainted >= HARDLY,
    weight: ({ range }) => (-range / (2 * WIDER)) * Math.sqrt(WHOLE_AREA),
    source: 'half a step of nine less between its lightest and its darkest twentieth',
  }),
  rescue_untouched: rule('rescue_untouched', {
    tells: ({ repainted }) => repainted < HARDLY,
    weight: () => Math.sqrt(WHOLE_AREA),
    source: 'less than a thirtieth of it differs from the state before',
  }),
} as const;
