import { MEDIA } from '../../exercise/media';
import { monochromePaintingSchema, type TermsOf } from '../../exercise/terms';
import type { Stage } from '../../planning/stage';
import type { HandInStage, Kind } from '../kind';
import { painted, usualPicture } from '../picture';
import { GLAZE_READY, LAYER_DRY, oneSitting, STAIN_DRY } from '../sittings';
import { IN_ONE_SITTING, paintingWork } from '../painting-work';

type Terms = TermsOf<'monochrome-painting'>;
const MINUTES = [120, 180] as const;

function stagedWork({ glaze }: Terms): string[] {
  return [
    'First meeting: a thin stain over the whole ground, then leave it to dry.',
    'Then two masses: all that the light reaches in one value, all that it does not in another, cast shadows included.',
    'When that is dry: the values inside the light, then inside the shadow, background to foreground.',
    ...(glaze ? ['When the greys are dry right through: glaze thinly, and never scrub.'] : []),
  ];
}

/** Lean under fat, and each layer dry before the next. */
function stagedStages({ medium, glaze }: Terms): Stage[] {
  const oil = medium === 'oil';
  const stage = (
    id: string,
    name: string,
    minutes: number,
    dryHours: number,
    fat: Stage['fat'],
    divisible = false,
  ) => ({
    ...{ id, name, minutes, divisible, dryHours },
    fat: oil ? fat : (0 as const),
  });
  return [
    stage('stain', 'stain the ground', 30, STAIN_DRY[medium], 1),
    stage('masses', 'two masses', 60, LAYER_DRY[medium], 2),
    stage('greys', 'greys in light and shadow', 120, glaze ? GLAZE_READY[medium] : LAYER_DRY[medium], 2, true),
    ...(glaze ? [stage('glaze', 'glaze', 60, LAYER_DRY[medium], 3)] : []),
  ];
}

/** Early on only large errors matter. */
function stagesHandedIn({ glaze, toleranceSteps, earlyToleranceSteps }: Terms): HandInStage[] {
  const early = { last: false, toleranceSteps: earlyToleranceSteps };
  const final = { last: true, toleranceSteps };
  return [
    { id: 'stain', name: 'The stain', asks: 'even', ...early },
    { id: 'masses', name: 'Two masses', asks: 'two-masses', ...early },
    { id: 'greys', name: 'The greys', asks: 'order', ...(glaze ? early : final) },
    ...(glaze ? [{ id: 'glaze', name: 'The glaze', asks: 'kept' as const, ...final }] : []),
  ];
}

export const monochromePainting: Kind<Terms> = {
  ...painted<Terms>(),
  id: 'monochrome-painting',
  family: 'paintings',
  name: 'monochrome painting',
  usualTitle: 'Watering can under a lamp',
  task: 'Light and shadow first, then the values inside each, then the edges.',
  minutes: MINUTES,
  measured: 'with-reference',
  terms: monochromePaintingSchema,
  usual: (medium) => ({
    kind: 'monochrome-painting',
    ...usualPicture(medium),
    subject: 'set-up',
    way: 'single-sitting',
    earlyToleranceSteps: 1,
    glaze: false,
    accent: false,
  }),
  inShort: ({ way, medium }) => `${way === 'staged' ? 'staged' : 'one sitting'}, in ${MEDIA[medium].name}`,
  work: (terms) =>
    paintingWork(terms, [
      ...(terms.way === 'staged' ? stagedWork(terms) : IN_ONE_SITTING),
      ...(terms.accent
        ? ['One touch of another colour is allowed: put it where the eye is to go, and nowhere else.']
        : []),
    ]),
  accent: ({ accent }) => (accent ? 'allowed' : 'told'),
  handInStages: (terms) => (terms.way === 'staged' ? stagesHandedIn(terms) : []),
  stages: (terms) =>
    terms.way === 'staged'
      ? stagedStages(terms)
      : oneSitting(terms.medium, MINUTES, { name: 'paint in one sitting', divisible: false }),
};
