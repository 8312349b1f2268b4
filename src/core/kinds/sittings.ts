/** Stages of kinds that are painted in one go: how long the work takes, and until it may be photographed. */
import type { MediumId } from '../exercise/media';
import type { Stage } from '../planning/stage';

const DAY = 24;

/** Hours until a covering layer can be painted over. Rough figures: carbon blacks and titanium white are the slow ones in oil. */
export const LAYER_DRY: Record<MediumId, number> = { gouache: 0.5, tempera: 0.75, acrylic: 1, oil: 9 * DAY };
/** A stain thinned to run. */
export const STAIN_DRY: Record<MediumId, number> = { gouache: 0.5, tempera: 0.75, acrylic: 0.75, oil: 1.5 * DAY };
/** Dry right through, so that a glaze does not lift it. */
export const GLAZE_READY: Record<MediumId, number> = { gouache: 2, tempera: 2, acrylic: 4, oil: 12 * DAY };

/** Paper that was painted wet is pressed flat overnight before it is photographed. */
const PRESS_HOURS = 12;
export const pressHours = (medium: MediumId): number => (medium === 'oil' ? 0 : PRESS_HOURS);

/** The middle of an estimate, in whole fives. */
export const middle = ([least, most]: readonly [number, number]) => Math.round((least + most) / 2 / 5) * 5;

/** One stage: mixed and painted, then left to dry and pressed. */
export function oneSitting(
  medium: MediumId,
  minutes: readonly [number, number],
  { name = 'mix and paint', divisible = true } = {},
): Stage[] {
  return [
    {
      id: 'paint',
      name,
      minutes: middle(minutes),
      divisible,
      dryHours: LAYER_DRY[medium] + pressHours(medium),
      fat: medium === 'oil' ? 2 : 0,
    },
  ];
}
