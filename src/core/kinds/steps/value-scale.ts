import { MEDIA } from '../../exercise/media';
import { defaultScale, type ScaleExercise, scaleExerciseSchema } from '../../exercise/scale';
import { scaleLayout } from '../../sheet/scale-layout';
import type { Kind } from '../kind';
import { oneSitting } from '../sittings';
import { stepped } from './stepped';

const MINUTES = [45, 90] as const;

export const valueScale: Kind<ScaleExercise> = {
  ...stepped<ScaleExercise>((terms) => scaleLayout(terms.steps, terms.paper)),
  id: 'scale',
  family: 'steps',
  name: 'value scale',
  usualTitle: 'Nine greys from white to black',
  task: 'Paint the cells flat and opaque, in even steps from white to black.',
  minutes: MINUTES,
  measured: true,
  terms: scaleExerciseSchema,
  usual: (medium) => defaultScale(medium),
  inShort: ({ steps, medium }) => `${steps} steps in ${MEDIA[medium].name}`,
  stages: ({ medium }) => oneSitting(medium, MINUTES),
};
