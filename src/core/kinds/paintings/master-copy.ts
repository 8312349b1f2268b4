import { USUAL_JUDGING } from '../../exercise/judging';
import { MEDIA } from '../../exercise/media';
import { masterCopySchema, type TermsOf } from '../../exercise/terms';
import type { Kind } from '../kind';
import { painted, usualPicture } from '../picture';
import { oneSitting } from '../sittings';
import { paintingWork } from '../painting-work';

const MINUTES = [180, 360] as const;

export const masterCopy: Kind<TermsOf<'master-copy'>> = {
  ...painted<TermsOf<'master-copy'>>(),
  id: 'master-copy',
  family: 'paintings',
  name: 'master copy',
  usualTitle: 'A copy, as exact as you can',
  task: 'Copy the picture as exactly as you can: values first, then drawing, then colour.',
  minutes: MINUTES,
  measured: 'with-picture',
  terms: masterCopySchema,
  usual: (medium) => ({
    kind: 'master-copy',
    ...usualPicture(medium),
    judging: { ...USUAL_JUDGING, edgesWanted: true, colourPass: true },
  }),
  inShort: ({ medium }) => `master copy in ${MEDIA[medium].name}`,
  work: (terms) => paintingWork(terms),
  stages: ({ medium }) => oneSitting(medium, MINUTES),
};
