/** The kinds of exercise as data: what each is called, what the student does, how long it takes, where it begins. */
import { USUAL_JUDGING } from '../exercise/judging';
import { USUAL_MATERIALS } from '../exercise/materials';
import { MEDIA, type MediumId } from '../exercise/media';
import { defaultScale } from '../exercise/scale';
import { targetLightnesses } from '../exercise/targets';
import { type ExerciseKind, type ExerciseTerms, isStepped, type TermsOf } from '../exercise/terms';

export interface Kind {
  readonly name: string;
  /** One sentence to the student. */
  readonly task: string;
  /** How long it usually takes, minutes; an estimate. */
  readonly minutes: readonly [number, number];
  /** Whether Fair Grey reads it, always or against what it is painted from; a person judges the others. */
  readonly measured: boolean | 'with-reference';
}

export const KINDS: Record<ExerciseKind, Kind> = {
  scale: {
    name: 'value scale',
    task: 'Paint the cells flat and opaque, in even steps from white to black.',
    minutes: [45, 90],
    measured: true,
  },
  'monochrome-scale': {
    name: 'monochrome scale',
    task: 'Paint one colour from its lightest tint to its darkest shade, in even steps.',
    minutes: [60, 100],
    measured: true,
  },
  bands: {
    name: 'value bands',
    task: 'Fill each band with its step, flat from edge to edge, so that neighbours can just be told apart.',
    minutes: [60, 120],
    measured: true,
  },
  'colours-on-scale': {
    name: 'colours on the scale',
    task: 'Mix the chips, then place each beside the grey that is as light as it is.',
    minutes: [60, 90],
    measured: true,
  },
  notan: {
    name: 'notan',
    task: 'Big shapes only, in flat tones. Decide, and lose edges on purpose.',
    minutes: [20, 40],
    measured: 'with-reference',
  },
  'five-value': {
    name: 'five-value study',
    task: 'Five flat values, the white last. Then look for the values in between at the seams.',
    minutes: [40, 60],
    measured: 'with-reference',
  },
  'quick-studies': {
    name: 'quick studies',
    task: 'Small grey studies, each with one goal. Stop when the goal is met.',
    minutes: [40, 90],
    measured: false,
  },
  'free-colour': {
    name: 'free colour, right values',
    task: 'Any colours you like, as long as each is as light as the reference.',
    minutes: [90, 150],
    measured: false,
  },
  'limited-palette': {
    name: 'limited palette series',
    task: 'The same subject again, with one paint fewer each time.',
    minutes: [120, 240],
    measured: false,
  },
  'monochrome-painting': {
    name: 'monochrome painting',
    task: 'Light and shadow first, then the values inside each, then the edges.',
    minutes: [120, 180],
    measured: false,
  },
  'master-copy': {
    name: 'master copy',
    task: 'Copy the picture as exactly as you can: values first, then drawing, then colour.',
    minutes: [180, 360],
    measured: false,
  },
  rescue: {
    name: 'rescue',
    task: 'Take an old painting and give it the range it lacked.',
    minutes: [60, 180],
    measured: false,
  },
};

/** The picture, or the set-up in life, that an exercise is painted from. */
export interface PaintedFrom {
  readonly referenceId: string | null;
  readonly setUpId: string | null;
}

/** Whether Fair Grey reads the hand-ins of an exercise, by its kind and what it is painted from. */
export const isMeasured = (kind: ExerciseKind, { referenceId, setUpId }: PaintedFrom): boolean =>
  KINDS[kind].measured === true ||
  (KINDS[kind].measured === 'with-reference' && (referenceId !== null || setUpId !== null));

export const KIND_IDS = Object.keys(KINDS) as [ExerciseKind, ...ExerciseKind[]];

/** The usual terms of a kind in a medium. */
export function defaultTerms<K extends ExerciseKind>(kind: K, medium: MediumId = 'gouache'): TermsOf<K> {
  const scale = defaultScale(medium);
  const onPaper = {
    paper: 'a4' as const,
    medium,
    ends: { ...MEDIA[medium].ends },
    toleranceSteps: 0.5,
    materials: USUAL_MATERIALS,
  };
  const picture = { ...onPaper, judging: { ...USUAL_JUDGING } };
  const all: { [T in ExerciseKind]: () => TermsOf<T> } = {
    scale: () => scale,
    'monochrome-scale': () => ({
      ...scale,
      kind: 'monochrome-scale',
      hue: 'burnt sienna',
      pureAt: 'own-value',
      materials: { ...USUAL_MATERIALS, paints: ['titanium-white', 'burnt-sienna', 'ivory-black'] },
    }),
    bands: () => ({
      ...scale,
      kind: 'bands',
      steps: 7,
      motif: 'glow',
      lamp: { x: 0.36, y: 0.34 },
      outlines: 'printed',
      silhouettes: 'drawn',
      nearest: 'last',
      brushMm: 6,
    }),
    'colours-on-scale': () => ({ ...scale, kind: 'colours-on-scale', chips: 9 }),
    notan: () => ({ kind: 'notan', ...picture, tones: 2, school: 'light-and-shadow' }),
    'five-value': () => ({ kind: 'five-value', ...picture, whiteSparing: true }),
    'quick-studies': () => ({
      kind: 'quick-studies',
      ...picture,
      goals: ['the big light and the big dark', 'three values', 'where the lightest light is', 'soft and hard edges'],
      minutes: 12,
    }),
    'free-colour': () => ({ kind: 'free-colour', ...picture }),
    'limited-palette': () => ({
      kind: 'limited-palette',
      ...picture,
      paints: ['titanium white', 'ivory black', 'yellow ochre', 'burnt umber'],
    }),
    'monochrome-painting': () => ({
      kind: 'monochrome-painting',
      ...picture,
      subject: 'set-up',
      way: 'single-sitting',
      earlyToleranceSteps: 1,
      glaze: false,
    }),
    'master-copy': () => ({
      kind: 'master-copy',
      ...picture,
      judging: { ...USUAL_JUDGING, edgesWanted: true, colourPass: true },
    }),
    rescue: () => ({ kind: 'rescue', ...picture }),
  };
  return all[kind]();
}

/** Values that an exercise asks for, light to dark or as its cells run, L*: its steps, its tones, or five to stand for a picture. */
export function valuesOf(terms: ExerciseTerms): number[] {
  if (isStepped(terms)) return targetLightnesses(terms.steps, terms.ends, terms.order, terms.spacing);
  const tones = terms.kind === 'notan' ? terms.tones : 5;
  return targetLightnesses(tones, terms.ends, 'light-first', 'lightness');
}

/** One line about an exercise, for lists: "9 steps in gouache". */
export function inShort(terms: ExerciseTerms): string {
  const paint = MEDIA[terms.medium].name;
  switch (terms.kind) {
    case 'scale':
      return `${terms.steps} steps in ${paint}`;
    case 'monochrome-scale':
      return `${terms.steps} steps of ${terms.hue} in ${paint}`;
    case 'bands':
      return `${terms.steps} bands in ${paint}`;
    case 'colours-on-scale':
      return `${terms.chips} chips beside ${terms.steps} greys in ${paint}`;
    case 'notan':
      return `${terms.tones} tones in ${paint}`;
    case 'quick-studies':
      return `${terms.goals.length} ${terms.goals.length === 1 ? 'study' : 'studies'} in ${paint}`;
    case 'limited-palette':
      return `${terms.paints.length - 1} rounds in ${paint}`;
    case 'monochrome-painting':
      return `${terms.way === 'staged' ? 'staged' : 'one sitting'}, in ${paint}`;
    default:
      return `${KINDS[terms.kind].name} in ${paint}`;
  }
}
