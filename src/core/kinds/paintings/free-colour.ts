import { MEDIA } from '../../exercise/media';
import { freeColourSchema, type TermsOf } from '../../exercise/terms';
import type { Kind } from '../kind';
import { painted, pictureWork, usualPicture } from '../picture';
import { oneSitting } from '../sittings';
import { PHOTOGRAPH, STEP_BACK } from '../work-words';

type Terms = TermsOf<'free-colour'>;
const MINUTES = [90, 150] as const;

export const freeColour: Kind<Terms> = {
  ...painted<Terms>(),
  id: 'free-colour',
  family: 'paintings',
  name: 'free colour, right values',
  usualTitle: 'Any colour, right value',
  task: 'Any colours you like, as long as each is as light as the reference.',
  minutes: MINUTES,
  measured: 'with-picture',
  terms: freeColourSchema,
  usual: (medium) => ({ kind: 'free-colour', ...usualPicture(medium) }),
  inShort: ({ medium }) => `free colour, right values in ${MEDIA[medium].name}`,
  work: (terms) =>
    pictureWork(terms, [
      'Any colours at all, as long as each is as light as the reference there.',
      'Check each mix in grey before it goes on.',
      STEP_BACK,
      PHOTOGRAPH,
    ]),
  stages: ({ medium }) => oneSitting(medium, MINUTES),
};
