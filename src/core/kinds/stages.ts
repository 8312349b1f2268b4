/** The stages in which an exercise is painted, how long each takes and dries, and what may lie over what. */
import type { MediumId } from '../exercise/media';
import type { ExerciseTerms } from '../exercise/terms';
import type { Stage } from '../planning/stage';
import { isMeasured, KINDS, type PaintedFrom } from './kinds';

const DAY = 24;

/** Hours until a covering layer can be painted over. Rough figures: carbon blacks and titanium white are the slow ones in oil. */
const LAYER_DRY: Record<MediumId, number> = { gouache: 0.5, tempera: 0.75, acrylic: 1, oil: 9 * DAY };
/** A stain thinned to run. */
const STAIN_DRY: Record<MediumId, number> = { gouache: 0.5, tempera: 0.75, acrylic: 0.75, oil: 1.5 * DAY };
/** Dry right through, so that a glaze does not lift it. */
const GLAZE_READY: Record<MediumId, number> = { gouache: 2, tempera: 2, acrylic: 4, oil: 12 * DAY };
/** Paper that was painted wet is pressed flat overnight before it is photographed. */
const PRESS_HOURS = 12;

const middle = ([least, most]: readonly [number, number]) => Math.round((least + most) / 2 / 5) * 5;

/** Stages in the order in which they are painted. */
export function stagesOf(terms: ExerciseTerms): Stage[] {
  const { medium } = terms;
  const oil = medium === 'oil';
  const pressed = oil ? 0 : PRESS_HOURS;
  const minutes = middle(KINDS[terms.kind].minutes);
  if (terms.kind === 'monochrome-painting' && terms.way === 'staged') {
    const last = terms.glaze ? GLAZE_READY[medium] : LAYER_DRY[medium];
    return [
      {
        id: 'stain',
        name: 'stain the ground',
        minutes: 30,
        divisible: false,
        dryHours: STAIN_DRY[medium],
        fat: oil ? 1 : 0,
      },
      {
        id: 'masses',
        name: 'two masses',
        minutes: 60,
        divisible: false,
        dryHours: LAYER_DRY[medium],
        fat: oil ? 2 : 0,
      },
      {
        id: 'greys',
        name: 'greys in light and shadow',
        minutes: 120,
        divisible: true,
        dryHours: last,
        fat: oil ? 2 : 0,
      },
      ...(terms.glaze
        ? [
            {
              id: 'glaze',
              name: 'glaze',
              minutes: 60,
              divisible: false,
              dryHours: LAYER_DRY[medium],
              fat: oil ? (3 as const) : (0 as const),
            },
          ]
        : []),
    ];
  }
  if (terms.kind === 'limited-palette')
    return terms.paints.slice(1).map((_, i) => ({
      id: `round-${i + 1}`,
      name: `round ${i + 1}`,
      minutes: 60,
      divisible: false,
      dryHours: LAYER_DRY[medium] + pressed,
      fat: 0 as const,
    }));
  const sitting = terms.kind === 'monochrome-painting';
  return [
    {
      id: 'paint',
      name: sitting ? 'paint in one sitting' : 'mix and paint',
      minutes,
      divisible: !sitting,
      dryHours: LAYER_DRY[medium] + pressed,
      fat: oil ? 2 : 0,
    },
  ];
}

/** A look at a hand-in by the teacher, minutes: shorter where Fair Grey has measured and drafted. */
export const LOOK_MINUTES = { measured: 2, byEye: 4 } as const;

export function lookMinutes(
  terms: ExerciseTerms,
  handIns: number,
  from: PaintedFrom = { referenceId: null, setUpId: null },
): number {
  return handIns * (isMeasured(terms.kind, from) ? LOOK_MINUTES.measured : LOOK_MINUTES.byEye);
}
