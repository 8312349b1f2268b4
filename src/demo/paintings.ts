/** The sample world's monochrome paintings: one still life, painted by six students, each with a habit of their own. */
import { defaultTerms } from '@/core/kinds/table';
import { AS_IT_IS } from '@/devices/drawing-hand';
import type { PicturePlan } from '@/devices/picture-painter';
import type { Student } from '@/studio/access/actor';
import { setExercise } from '@/studio/plan/exercises';
import { keepPreparation, referenceFor, referencesOf } from '@/studio/reference/references';
import { handIn, type World } from './kinds';
import { namedShape } from './pictures';
import { seenInGreys } from './seen-picture';

const PAINTED_FROM = 'jug-and-eggs';
const TITLE = 'Jug, loaf and three eggs on a cloth';
/** The exercise in which six students paint it. */
export const JUG_IN_GREYS = 'Jug, loaf and eggs in greys';

/** Things of the picture by their place in its list, from 1; each has a light and a shadow. */
export const [JUG, LOAF, EGGS] = [4, 5, 6];
const lightOf = (thing: number) => 2 * thing;
export const shadowOf = (thing: number) => 2 * thing + 1;

type Habit = Partial<Omit<PicturePlan, 'value'>> & {
  /** From the L* that is wanted to the L* that is meant. */
  readonly values?: readonly [dark: number, light: number];
};

export const CAREFUL: Omit<PicturePlan, 'value'> = {
  whole: AS_IT_IS,
  moves: [],
  stray: 0.0012,
  smallest: 0.006,
  unsure: 0.5,
  mistaken: new Map(),
  ground: 78,
  streaks: 0.3,
};

/** What each makes of it, in the order of the class. */
const HABITS: readonly Habit[] = [
  // A shadow full of light: reflected light that was believed.
  {
    mistaken: new Map([
      [shadowOf(JUG), 17],
      [shadowOf(LOAF), 13],
    ]),
  },
  // The strong one.
  { stray: 0.0008, smallest: 0.005, unsure: 0.3 },
  // Everything in greys.
  { values: [44, 80], unsure: 1 },
  // Eggs too far to the left, and a slim jug.
  {
    moves: [
      { shapes: [lightOf(EGGS), shadowOf(EGGS)], dx: -0.035, dy: 0, width: 1, height: 1, slant: 0 },
      { shapes: [lightOf(JUG), shadowOf(JUG)], dx: 0, dy: 0, width: 0.88, height: 1, slant: 0 },
    ],
  },
  // The whole of it askew, with a large brush.
  {
    whole: { ...AS_IT_IS, shift: { x: 0.03, y: -0.014 }, rotation: 1.8 },
    smallest: 0.022,
    unsure: 1.2,
  },
  // A loaf that lost its light.
  { mistaken: new Map([[lightOf(LOAF), -14]]), stray: 0.002 },
];

async function prepare({ house, teacher }: World): Promise<string> {
  const all = await referencesOf(house, teacher);
  const row = all.find((r) => r.title === TITLE);
  // Two others of the studio, for how they handle lights and darks.
  const exemplars = all.filter((r) => r !== row).slice(0, 2);
  if (!row) throw new Error('The sample picture is not there.');
  const { preparation } = await referenceFor(house, teacher, row.id);
  await keepPreparation(
    house,
    teacher,
    row.id,
    {
      ...preparation,
      exemplars: exemplars.map((r) => r.id),
      shapes: {
        cut: { squint: 0.2, dissolve: 0.003, smooth: 0.3, thresholds: [27, 49, 62] },
        edits: [],
        named: [
          namedShape(0.567, 0.391, 'jug > lit side', 'lit'),
          namedShape(0.475, 0.395, 'jug > shadow side', 'shadow'),
          namedShape(0.277, 0.659, 'loaf > lit side', 'lit'),
          namedShape(0.494, 0.637, 'loaf > cast shadow', 'cast-shadow'),
          namedShape(0.007, 0.293, 'wall', null),
        ],
      },
    },
    null,
  );
  return row.id;
}

/** Sets the exercise; what is still to be painted and photographed, one piece of work each. */
export async function monochromePaintings(world: World, who: readonly Student[]): Promise<(() => Promise<unknown>)[]> {
  const { house, teacher, classId } = world;
  const referenceId = await prepare(world);
  const terms = defaultTerms('monochrome-painting');
  const exerciseId = await setExercise(house, teacher, classId, {
    title: JUG_IN_GREYS,
    note: 'Squint, and put in the large lights and darks first. Leave the eggs for last.',
    dueAt: null,
    terms,
    referenceId,
  });
  const seen = await seenInGreys(PAINTED_FROM, terms.ends);
  const { dark, light } = terms.ends;
  return HABITS.flatMap(({ values = [dark, light], ...habit }, k) => {
    const student = who[k];
    if (!student) return [];
    const meant = (l: number) => values[0] + ((l - dark) / (light - dark)) * (values[1] - values[0]);
    const picture = { seen: { ...seen, lightness: seen.lightness.map(meant) }, plan: { ...CAREFUL, ...habit } };
    return [() => handIn(world, student, exerciseId, 501 + k, { plan: { lightness: [], faults: [] }, picture })];
  });
}

/** A stain that was wiped evenly, or left in patches; and the two masses that come over it. */
const EVEN = () => 64;
const PATCHY = (x: number, y: number) => 62 + 8 * Math.sin(7 * x + 2) * Math.cos(5 * y);
const TWO_MASSES = (l: number) => (l > 62 ? 78 : 36);

/** The same still life built up in oil, stage by stage: two students are at its beginning. */
export async function stagedPaintings(world: World, who: readonly Student[]): Promise<(() => Promise<unknown>)[]> {
  const { house, teacher, classId } = world;
  const row = (await referencesOf(house, teacher)).find((r) => r.title === TITLE);
  const [first, second] = who;
  if (!row || !first || !second) throw new Error('The sample picture, or somebody to paint it, is not there.');
  const terms = { ...defaultTerms('monochrome-painting', 'oil'), way: 'staged' as const, glaze: true };
  const exerciseId = await setExercise(house, teacher, classId, {
    title: 'Jug and loaf, built up in oil',
    note: 'One stage a week. Let each of them dry before the next, and photograph every one.',
    dueAt: null,
    terms,
    referenceId: row.id,
  });
  const seen = await seenInGreys(PAINTED_FROM, terms.ends);
  const stage = (student: Student, seed: number, lightness: Float32Array) => {
    const picture = { seen: { ...seen, lightness }, plan: { ...CAREFUL, streaks: 0.8 } };
    return handIn(world, student, exerciseId, seed, { plan: { lightness: [], faults: [] }, picture });
  };
  const stain = (of: (x: number, y: number) => number) =>
    seen.lightness.map((_, i) => of((i % seen.width) / seen.width, Math.floor(i / seen.width) / seen.width));
  return [
    async () => {
      await stage(first, 541, stain(EVEN));
      await stage(first, 542, seen.lightness.map(TWO_MASSES));
    },
    () => stage(second, 543, stain(PATCHY)),
  ];
}

/** Before, all of it in the middle; then darks and lights as they are. */
const MUDDY = { dark: 46, light: 74 } as const;

/** Old paintings of the same still life: one reworked, each state on a photograph of its own, and one that nobody has touched yet. */
export async function rescuedPainting(world: World, student: Student, next: Student): Promise<() => Promise<unknown>> {
  const { house, teacher, classId } = world;
  const terms = defaultTerms('rescue', 'acrylic');
  const exerciseId = await setExercise(house, teacher, classId, {
    title: 'An old still life, mended',
    note: 'Bring one that you are tired of. Photograph it first; then give it one real dark and one real light.',
    dueAt: null,
    terms,
  });
  const { dark, light } = terms.ends;
  const seen = await seenInGreys(PAINTED_FROM, terms.ends);
  const muddy = seen.lightness.map((l) => MUDDY.dark + ((l - dark) / (light - dark)) * (MUDDY.light - MUDDY.dark));
  const state = (lightness: Float32Array, of = student, seed = 581) =>
    handIn(world, of, exerciseId, seed, {
      plan: { lightness: [], faults: [] },
      picture: { seen: { ...seen, lightness }, plan: CAREFUL },
    });
  return async () => {
    await state(muddy, next, 587);
    await state(muddy);
    await state(seen.lightness);
  };
}
