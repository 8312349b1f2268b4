import { MEDIA } from '../../exercise/media';
import { quickStudiesSchema, type TermsOf } from '../../exercise/terms';
import { pictureLayout } from '../../sheet/picture-layout';
import type { Kind } from '../kind';
import { painted, pictureWork, usualPicture } from '../picture';
import { oneSitting } from '../sittings';
import { PHOTOGRAPH } from '../work-words';

type Terms = TermsOf<'quick-studies'>;
const MINUTES = [40, 90] as const;

export const quickStudies: Kind<Terms> = {
  ...painted<Terms>({
    layout: ({ paper, goals }) => pictureLayout(paper, { frames: goals.length }),
    captions: ({ goals }) => goals,
  }),
  id: 'quick-studies',
  family: 'by-eye',
  sheet: 'frames',
  name: 'quick studies',
  usualTitle: 'Four quick studies',
  task: 'Small grey studies, each with one goal. Stop when the goal is met.',
  minutes: MINUTES,
  measured: false,
  terms: quickStudiesSchema,
  usual: (medium) => ({
    kind: 'quick-studies',
    ...usualPicture(medium),
    goals: ['the big light and the big dark', 'three values', 'where the lightest light is', 'soft and hard edges'],
    minutes: 12,
  }),
  inShort: ({ goals, medium }) =>
    `${goals.length} ${goals.length === 1 ? 'study' : 'studies'} in ${MEDIA[medium].name}`,
  work: (terms) => {
    const time = terms.minutes === null ? '' : `, or after about ${terms.minutes} minutes`;
    return pictureWork(terms, [
      `Each frame has one goal. Stop when it is met${time}; nobody counts the time.`,
      'Three or four values are enough.',
      PHOTOGRAPH,
    ]);
  },
  stages: ({ medium }) => oneSitting(medium, MINUTES),
};
