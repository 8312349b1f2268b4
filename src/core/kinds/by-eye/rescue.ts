import { MEDIA } from '../../exercise/media';
import { rescueSchema, type TermsOf } from '../../exercise/terms';
import type { Kind } from '../kind';
import { painted, usualPicture } from '../picture';
import { oneSitting } from '../sittings';
import { IN_ONE_SITTING, paintingWork } from '../painting-work';

const MINUTES = [60, 180] as const;

export const rescue: Kind<TermsOf<'rescue'>> = {
  ...painted<TermsOf<'rescue'>>(),
  id: 'rescue',
  family: 'by-eye',
  name: 'rescue',
  usualTitle: 'An old painting, mended',
  task: 'Take an old painting and give it the range it lacked.',
  minutes: MINUTES,
  measured: false,
  terms: rescueSchema,
  usual: (medium) => ({ kind: 'rescue', ...usualPicture(medium) }),
  inShort: ({ medium }) => `rescue in ${MEDIA[medium].name}`,
  work: (terms) => paintingWork(terms, ['Photograph the painting before you touch it.', ...IN_ONE_SITTING]),
  stages: ({ medium }) => oneSitting(medium, MINUTES),
};
