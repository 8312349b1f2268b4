import { USUAL_MATERIALS } from '../../exercise/materials';
import { MEDIA } from '../../exercise/media';
import { defaultScale } from '../../exercise/scale';
import { monochromeScaleSchema, type TermsOf } from '../../exercise/terms';
import { scaleLayout } from '../../sheet/scale-layout';
import type { Kind } from '../kind';
import { oneSitting } from '../sittings';
import { stepped, stepWork } from './stepped';

type Terms = TermsOf<'monochrome-scale'>;
const MINUTES = [60, 100] as const;

const wherePureGoes = ({ pureAt, hue }: Terms) =>
  pureAt === 'middle-step'
    ? `Pure ${hue} goes on the middle step; mix tints up from it and shades down from it.`
    : `Find the step that is as light as pure ${hue} and put it there; tints go above it, shades below.`;

export const monochromeScale: Kind<Terms> = {
  ...stepped<Terms>((terms) => scaleLayout(terms.steps, terms.paper, { hue: true })),
  id: 'monochrome-scale',
  family: 'steps',
  name: 'monochrome scale',
  usualTitle: 'One colour from tint to shade',
  task: 'Paint one colour from its lightest tint to its darkest shade, in even steps.',
  minutes: MINUTES,
  measured: true,
  terms: monochromeScaleSchema,
  usual: (medium) => ({
    ...defaultScale(medium),
    kind: 'monochrome-scale',
    hue: 'burnt sienna',
    pureAt: 'own-value',
    materials: { ...USUAL_MATERIALS, paints: ['titanium-white', 'burnt-sienna', 'ivory-black'] },
  }),
  inShort: ({ steps, hue, medium }) => `${steps} steps of ${hue} in ${MEDIA[medium].name}`,
  work: (terms, labels, mixing) => [wherePureGoes(terms), ...stepWork(terms, labels, mixing)],
  stages: ({ medium }) => oneSitting(medium, MINUTES),
  row: ({ order, workOrder, hue, pureAt }) => ({ order, work: workOrder, hue: { name: hue, pureAt } }),
};
