/** The sample world's copies in colour: one picture, by two students who see colours each in their own way. */
import { defaultTerms } from '@/core/kinds/table';
import { AS_IT_IS } from '@/devices/drawing-hand';
import type { Student } from '@/studio/access/actor';
import { setExercise } from '@/studio/plan/exercises';
import { referencesOf } from '@/studio/reference/references';
import { handIn, type World } from './kinds';
import { seenFor, type SeenInColour } from './seen-picture';

const COPIED = 'greenhouse-bench';
const TITLE = 'Greenhouse bench with watering can and flowerpots';
/** Things of the picture by their place in its list, from 1. */
const [BENCH, PLANT, LARGE_POT] = [1, 5, 4];

type Hue = readonly [a: number, b: number];

/** From the hue that is seen of a thing to the one that is mixed for it. */
type Eye = (thing: number, hue: Hue) => Hue;

/** Pots that lost their fire, and leaves that are too yellow. */
const QUIET: Eye = (thing, [a, b]) =>
  thing === LARGE_POT ? [0.25 * a, 0.25 * b] : thing === PLANT ? [a + 7, b + 16] : [a, b];
/** Painted under a yellow bulb, and taken for daylight. */
const YELLOW: Eye = (thing, [a, b]) => [a + 2, b + (thing === BENCH ? 15 : 13)];

const mixed = ({ hues, shapeOf, ...picture }: SeenInColour, eye: Eye): SeenInColour => {
  const own = new Float32Array(hues.length);
  for (const [i, shape] of shapeOf.entries())
    own.set(eye(shape >> 1, [hues[2 * i] as number, hues[2 * i + 1] as number]), 2 * i);
  return { ...picture, shapeOf, hues: own };
};

/** Sets the exercise; what is still to be painted and photographed, one piece of work each. */
export async function copiesInColour(world: World, who: readonly Student[]): Promise<(() => Promise<unknown>)[]> {
  const { house, teacher, classId } = world;
  const row = (await referencesOf(house, teacher)).find((r) => r.title === TITLE);
  if (!row) throw new Error('The sample picture is not there.');
  const terms = defaultTerms('master-copy', 'acrylic');
  const exerciseId = await setExercise(house, teacher, classId, {
    title: 'The greenhouse bench, copied in colour',
    note: 'Values first. Then ask of each shape: is it too yellow, too blue, too red, or too dull?',
    dueAt: null,
    terms,
    referenceId: row.id,
  });
  const seen = await seenFor(COPIED, terms.ends);
  const plan = {
    ...{ whole: AS_IT_IS, moves: [], mistaken: new Map<number, number>() },
    ...{ stray: 0.0012, smallest: 0.006, unsure: 0.5, ground: 78, streaks: 0.3 },
  };
  return [QUIET, YELLOW].flatMap((eye, k) => {
    const student = who[k];
    if (!student) return [];
    const picture = { seen: mixed(seen, eye), plan };
    return [() => handIn(world, student, exerciseId, 561 + k, { plan: { lightness: [], faults: [] }, picture })];
  });
}
