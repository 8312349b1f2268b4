import { MEDIA } from '../../exercise/media';
import { fiveValueSchema, type TermsOf } from '../../exercise/terms';
import type { Kind } from '../kind';
import { painted, pictureWork, usualPicture } from '../picture';
import { oneSitting } from '../sittings';
import { PHOTOGRAPH, STEP_BACK } from '../work-words';
import { numberedTones } from './numbered-tones';

type Terms = TermsOf<'five-value'>;
const MINUTES = [40, 60] as const;
const VALUES = 5;

export const fiveValue: Kind<Terms> = {
  ...painted<Terms>({ count: () => VALUES }),
  id: 'five-value',
  family: 'tones',
  name: 'five-value study',
  usualTitle: 'Five values',
  task: 'Five flat values, the white last. Then look for the values in between at the seams.',
  minutes: MINUTES,
  measured: 'with-reference',
  terms: fiveValueSchema,
  usual: (medium) => ({ kind: 'five-value', ...usualPicture(medium), whiteSparing: true }),
  inShort: ({ medium }) => `five-value study in ${MEDIA[medium].name}`,
  numbered: ({ ends }) => numberedTones(VALUES, ends),
  work: (terms) =>
    pictureWork(terms, [
      'Mix five values and keep to them.',
      'Lay the three in the middle first, then the darkest.',
      ...(terms.whiteSparing ? ['White last, and little of it.'] : []),
      'Where two values meet too hard, lay one in between along the seam.',
      STEP_BACK,
      PHOTOGRAPH,
    ]),
  stages: ({ medium }) => oneSitting(medium, MINUTES),
  wanted: () => ({ tones: VALUES, school: 'threshold' }),
};
