import { MEDIA } from '../../exercise/media';
import { rescueSchema, type TermsOf } from '../../exercise/terms';
import type { HandInStage, Kind } from '../kind';
import { painted, usualPicture } from '../picture';
import { oneSitting } from '../sittings';
import { IN_ONE_SITTING, paintingWork } from '../painting-work';

const MINUTES = [60, 180] as const;

/** Its two states; nothing but what changed is asked of it. */
const handedIn = ({ toleranceSteps }: TermsOf<'rescue'>): HandInStage[] => [
  { id: 'before', name: 'As it was', asks: 'as-it-was', last: false, toleranceSteps },
  { id: 'after', name: 'Reworked', asks: 'rescued', last: true, toleranceSteps },
];

export const rescue: Kind<TermsOf<'rescue'>> = {
  ...painted<TermsOf<'rescue'>>(),
  id: 'rescue',
  family: 'paintings',
  // An old painting stands on a board or a canvas of its own.
  framings: () => ['brackets', 'corners', 'sheet'],
  name: 'rescue',
  usualTitle: 'An old painting, mended',
  task: 'Take an old painting and give it the range it lacked.',
  minutes: MINUTES,
  measured: true,
  againstItself: 'state-before',
  terms: rescueSchema,
  usual: (medium) => ({ kind: 'rescue', ...usualPicture(medium) }),
  inShort: ({ medium }) => `rescue in ${MEDIA[medium].name}`,
  work: (terms) =>
    paintingWork(terms, ['Photograph the painting before you touch it, and hand that in first.', ...IN_ONE_SITTING]),
  handInStages: handedIn,
  stages: ({ medium }) => oneSitting(medium, MINUTES),
};
