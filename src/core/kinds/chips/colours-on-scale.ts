import { MEDIA } from '../../exercise/media';
import { defaultScale } from '../../exercise/scale';
import { coloursOnScaleSchema, type TermsOf } from '../../exercise/terms';
import { scaleLayout } from '../../sheet/scale-layout';
import type { Kind } from '../kind';
import { oneSitting } from '../sittings';
import { stepped } from '../steps/stepped';
import { PHOTOGRAPH } from '../work-words';

type Terms = TermsOf<'colours-on-scale'>;
const MINUTES = [60, 90] as const;

/** Rows of chips: room for all of them and, where it can be had, a row more than they need, since several may fall on one grey. */
export function chipRows({ chips, steps }: Pick<Terms, 'chips' | 'steps'>): number {
  const needed = Math.ceil(chips / steps);
  return Math.max(needed, Math.min(3, needed + 1));
}

export const coloursOnScale: Kind<Terms> = {
  ...stepped<Terms>((terms) => scaleLayout(terms.steps, terms.paper, { chipRows: chipRows(terms), hue: true })),
  id: 'colours-on-scale',
  family: 'chips',
  framings: () => ['sheet'],
  name: 'colours on the scale',
  usualTitle: 'How light is a colour?',
  task: 'Mix the chips, then place each beside the grey that is as light as it is.',
  minutes: MINUTES,
  measured: true,
  terms: coloursOnScaleSchema,
  usual: (medium) => ({ ...defaultScale(medium), kind: 'colours-on-scale', chips: 9 }),
  inShort: ({ chips, steps, medium }) => `${chips} chips beside ${steps} greys in ${MEDIA[medium].name}`,
  work: ({ chips }) => [
    'Paint the greys of the scale first.',
    `Mix ${chips} chips: pure colours, tints, shades and some with their complement in them.`,
    'Paint each chip into the column of the grey that is as light; squint until its edge goes.',
    'Trust the squint, not the colour: strong colours look lighter than they are.',
    PHOTOGRAPH,
  ],
  stages: ({ medium }) => oneSitting(medium, MINUTES),
};
