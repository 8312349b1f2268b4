import { MEDIA } from '../../exercise/media';
import { limitedPaletteSchema, type TermsOf } from '../../exercise/terms';
import type { HandInStage, Kind } from '../kind';
import { painted, pictureWork, usualPicture } from '../picture';
import { LAYER_DRY, pressHours } from '../sittings';
import { PHOTOGRAPH } from '../work-words';

type Terms = TermsOf<'limited-palette'>;
const ROUND_MINUTES = 60;

/** A panel a round: the first as it is, each other one by how well it keeps the values of the first. */
const handedIn = ({ paints, toleranceSteps }: Terms): HandInStage[] =>
  paints.slice(1).map((_, k) => ({
    id: `round-${k + 1}`,
    name: `Round ${k + 1}`,
    asks: k === 0 ? 'first-panel' : 'like-the-first',
    last: k > 0,
    toleranceSteps,
  }));

export const limitedPalette: Kind<Terms> = {
  ...painted<Terms>(),
  id: 'limited-palette',
  family: 'paintings',
  name: 'limited palette series',
  usualTitle: 'One paint fewer',
  task: 'The same subject again, with one paint fewer each time.',
  minutes: [120, 240],
  measured: true,
  againstItself: 'first-panel',
  terms: limitedPaletteSchema,
  usual: (medium) => ({
    kind: 'limited-palette',
    ...usualPicture(medium),
    paints: ['titanium white', 'ivory black', 'yellow ochre', 'burnt umber'],
  }),
  inShort: ({ paints, medium }) => `${paints.length - 1} rounds in ${MEDIA[medium].name}`,
  work: (terms) =>
    pictureWork(terms, [
      `First round: ${terms.paints.join(', ')}.`,
      ...terms.paints.slice(2).map((_, i) => `Round ${i + 2}: without ${terms.paints.at(-1 - i)}.`),
      'The values stay; only the colours get fewer.',
      PHOTOGRAPH,
    ]),
  handInStages: handedIn,
  stages: ({ paints, medium }) =>
    paints.slice(1).map((_, i) => ({
      id: `round-${i + 1}`,
      name: `round ${i + 1}`,
      minutes: ROUND_MINUTES,
      divisible: false,
      dryHours: LAYER_DRY[medium] + pressHours(medium),
      fat: 0,
    })),
};
