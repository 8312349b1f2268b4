/** How to go about an exercise, as numbered lines for the printed handout and the phone. */
import { orderOfWork } from '../exercise/order-of-work';
import { BRUSH_MM } from '../exercise/supplies';
import type { ExerciseTerms, Motif, PictureTerms } from '../exercise/terms';

const PHOTOGRAPH = 'When it is dry: photograph the whole sheet, flat, in even light, with no shine.';
const STEP_BACK = 'Step back and squint every few minutes; take a grey snapshot, compare, go on.';
const WASH = 'Wash the brush between values that lie far apart, wipe it between neighbours.';

/** Bands that the sheet does not have: how to draw them so that they can be found again. */
const OWN_BANDS: Record<Motif, string> = {
  glow: 'Draw your own rings round the small cross, one inside the other, none narrower than your brush; all of them show somewhere.',
  ranges: 'Draw your own ridges from side to side, each below the one before it, none nearer than your brush is wide.',
  stairwell: 'Draw your own walls round the small cross, one inside the other, none narrower than your brush.',
};

const GROUND: Record<PictureTerms['judging']['ground'], readonly string[]> = {
  covered: ['Cover the ground: none of it shows when you are done.'],
  'for-a-step': ['The ground may stand for one value: decide which before you begin.'],
  'for-the-shadow': ['The ground may stand for the shadow: leave it bare there on purpose, not by chance.'],
};

function edges(terms: PictureTerms): string[] {
  return terms.judging.edgesWanted ? ['Last, the edges: firm where you want the eye, soft or lost elsewhere.'] : [];
}

function painting(terms: PictureTerms & { way?: 'single-sitting' | 'staged' }): string[] {
  if (terms.kind === 'monochrome-painting' && terms.way === 'staged')
    return [
      'First meeting: a thin stain over the whole ground, then leave it to dry.',
      'Then two masses: all that the light reaches in one value, all that it does not in another, cast shadows included.',
      'When that is dry: the values inside the light, then inside the shadow, background to foreground.',
      ...(terms.glaze ? ['When the greys are dry right through: glaze thinly, and never scrub.'] : []),
    ];
  return [
    'Two masses first: light and shadow, cast shadows joined to the shadows they run from.',
    'Background to foreground, large shapes to small, large brush to small.',
    'Then the values inside each mass; reflected light stays darker than the halftones beside it.',
    WASH,
  ];
}

function ownLines(terms: ExerciseTerms, labels: readonly string[], mixing: readonly string[] | null): string[] {
  switch (terms.kind) {
    case 'scale':
      return orderOfWork(terms.steps, terms.order, terms.workOrder, labels, mixing);
    case 'monochrome-scale':
      return [
        terms.pureAt === 'middle-step'
          ? `Pure ${terms.hue} goes on the middle step; mix tints up from it and shades down from it.`
          : `Find the step that is as light as pure ${terms.hue} and put it there; tints go above it, shades below.`,
        ...orderOfWork(terms.steps, terms.order, terms.workOrder, labels, mixing),
      ];
    case 'bands':
      return [
        `Mix the ${terms.steps} steps first${mixing ? `, in this order: ${mixing.join(', ')}` : ''}${terms.outlines === 'own' ? '.' : '; each number is its band.'}`,
        ...(terms.outlines === 'own' ? [OWN_BANDS[terms.motif]] : []),
        ...(terms.nearest === 'first'
          ? ['Paint the silhouettes first, in the darkest paint; the bands go up to them.']
          : []),
        terms.outlines === 'own'
          ? 'Paint the bands from the lightest to the darkest, flat, each up to the next.'
          : 'Paint the bands from the lightest to the darkest, flat, over the faint lines.',
        ...(terms.silhouettes === 'own'
          ? ['Draw your own silhouettes in front: big, simple, recognised by their outline.']
          : []),
        ...(terms.nearest === 'last' ? ['Paint the silhouettes last, in the darkest paint, solid.'] : []),
        WASH,
        PHOTOGRAPH,
      ];
    case 'colours-on-scale':
      return [
        'Paint the greys of the scale first.',
        `Mix ${terms.chips} chips: pure colours, tints, shades and some with their complement in them.`,
        'Paint each chip into the column of the grey that is as light; squint until its edge goes.',
        'Trust the squint, not the colour: strong colours look lighter than they are.',
        PHOTOGRAPH,
      ];
    case 'notan':
      return [
        terms.school === 'light-and-shadow'
          ? 'Light is white and shadow is black, whatever the thing’s own colour.'
          : 'Everything darker than the line you draw is black, everything lighter is white.',
        `Use ${terms.tones} flat tones and nothing between.`,
        'Join shapes of one tone where they touch; lose the edge.',
        'One large shape, a few of middle size, very few small ones.',
        PHOTOGRAPH,
      ];
    case 'five-value':
      return [
        'Mix five values and keep to them.',
        'Lay the three in the middle first, then the darkest.',
        ...(terms.whiteSparing ? ['White last, and little of it.'] : []),
        'Where two values meet too hard, lay one in between along the seam.',
        STEP_BACK,
        PHOTOGRAPH,
      ];
    case 'quick-studies':
      return [
        `Each frame has one goal. Stop when it is met${terms.minutes === null ? '' : `, or after about ${terms.minutes} minutes`}; nobody counts the time.`,
        'Three or four values are enough.',
        PHOTOGRAPH,
      ];
    case 'free-colour':
      return [
        'Any colours at all, as long as each is as light as the reference there.',
        'Check each mix in grey before it goes on.',
        STEP_BACK,
        PHOTOGRAPH,
      ];
    case 'limited-palette':
      return [
        `First round: ${terms.paints.join(', ')}.`,
        ...terms.paints.slice(2).map((_, i) => `Round ${i + 2}: without ${terms.paints.at(-1 - i)}.`),
        'The values stay; only the colours get fewer.',
        PHOTOGRAPH,
      ];
    case 'monochrome-painting':
    case 'master-copy':
    case 'rescue':
      return [
        ...(terms.kind === 'rescue' ? ['Photograph the painting before you touch it.'] : []),
        ...painting(terms),
        ...edges(terms),
        STEP_BACK,
        'When it is dry: photograph it flat, in even light, with no shine.',
      ];
  }
}

/** Lines to print or show. `labels` are the class's names of the steps in reading order, `mixing` those of the puddles in the order to mix them. */
export function workLines(
  terms: ExerciseTerms,
  labels: readonly string[],
  mixing: readonly string[] | null = null,
): string[] {
  const lines = ownLines(terms, labels, mixing);
  const frame =
    'judging' in terms && terms.judging.blackFrame
      ? ['Paint the frame between the two lines first, in the darkest paint, solid.']
      : [];
  return 'judging' in terms
    ? [...frame, ...lines.slice(0, -1), ...GROUND[terms.judging.ground], ...lines.slice(-1)]
    : lines;
}

/** Flat brushes for shapes of these widths (mm), large to small: each about half as wide as what it fills. */
export function brushesFor(widthsMm: readonly number[]): number[] {
  const fitting = widthsMm.map((w) => [...BRUSH_MM].reverse().find((b) => b <= Math.max(4, 0.55 * w)) ?? 4);
  return [...new Set(fitting)].sort((a, b) => b - a);
}
