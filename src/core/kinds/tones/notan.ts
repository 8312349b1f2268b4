import { MEDIA } from '../../exercise/media';
import { notanSchema, type TermsOf } from '../../exercise/terms';
import type { Kind } from '../kind';
import { painted, pictureWork, usualPicture } from '../picture';
import { oneSitting } from '../sittings';
import { PHOTOGRAPH } from '../work-words';
import { numberedTones } from './numbered-tones';

type Terms = TermsOf<'notan'>;
const MINUTES = [20, 40] as const;

export const notan: Kind<Terms> = {
  ...painted<Terms>({ count: ({ tones }) => tones }),
  id: 'notan',
  family: 'tones',
  name: 'notan',
  usualTitle: 'Light and dark, nothing else',
  task: 'Big shapes only, in flat tones. Decide, and lose edges on purpose.',
  minutes: MINUTES,
  measured: 'with-reference',
  terms: notanSchema,
  usual: (medium) => ({ kind: 'notan', ...usualPicture(medium), tones: 2, school: 'light-and-shadow' }),
  inShort: ({ tones, medium }) => `${tones} tones in ${MEDIA[medium].name}`,
  numbered: (terms) => numberedTones(terms.tones, terms.ends),
  work: (terms) =>
    pictureWork(terms, [
      terms.school === 'light-and-shadow'
        ? 'Light is white and shadow is black, whatever the thing’s own colour.'
        : 'Everything darker than the line you draw is black, everything lighter is white.',
      `Use ${terms.tones} flat tones and nothing between.`,
      'Join shapes of one tone where they touch; lose the edge.',
      'One large shape, a few of middle size, very few small ones.',
      PHOTOGRAPH,
    ]),
  stages: ({ medium }) => oneSitting(medium, MINUTES),
  wanted: ({ tones, school }) => ({ tones, school }),
};
