/** The sample world's set-up from life: its masses named, painted by two students who sit on opposite sides of it. */
import { targetLightnesses } from '@/core/exercise/targets';
import { defaultTerms } from '@/core/kinds/table';
import { type MassEdit, SET_UP_VERSION, type SetUp, type SetUpMass } from '@/core/reference/set-up';
import type { ToneMap } from '@/devices/notan-painter';
import type { Student } from '@/studio/access/actor';
import { measureAttempt } from '@/studio/hand-in/measuring';
import { setExercise } from '@/studio/plan/exercises';
import { keepNewSetUp, keepSetUp, paintMasses } from '@/studio/reference/set-ups';
import path from 'node:path';
import sharp from 'sharp';
import { handIn, type World } from './kinds';
import { CAREFUL, LOAF, shadowOf } from './paintings';
import { PICTURE_FOLDER } from './pictures';
import { seenInGreys } from './seen-picture';

const SCENE_NAME = 'jug-and-eggs';
const SCENE = path.join(PICTURE_FOLDER, SCENE_NAME);
const TONES = 4;

/** Of each mass: number of its thing in the scene's mask, whether it lies in shadow, the tone it is seen in, and what it is given. */
const MASSES = [
  { id: 'wall', name: 'wall', thing: 2, shadow: null, tone: 3, from: 2, to: 3, part: null },
  { id: 'table', name: 'table', thing: 1, shadow: null, tone: 3, from: 3, to: 4, part: null },
  { id: 'cloth', name: 'cloth > lit', thing: 3, shadow: false, tone: 1, from: 1, to: 1, part: 'lit' },
  {
    id: 'cloth-dark',
    name: 'cloth > shadows on it',
    thing: 3,
    shadow: true,
    tone: 4,
    from: 3,
    to: 4,
    part: 'cast-shadow',
  },
  { id: 'jug', name: 'jug > lit side', thing: 4, shadow: false, tone: 2, from: 1, to: 2, part: 'lit' },
  { id: 'jug-dark', name: 'jug > shadow side', thing: 4, shadow: true, tone: 4, from: 3, to: 4, part: 'shadow' },
  { id: 'loaf', name: 'loaf > lit side', thing: 5, shadow: false, tone: 2, from: 2, to: 2, part: 'lit' },
  { id: 'loaf-dark', name: 'loaf > shadow side', thing: 5, shadow: true, tone: 4, from: 4, to: 4, part: 'shadow' },
  { id: 'eggs', name: 'eggs > lit side', thing: 6, shadow: false, tone: 1, from: 1, to: 2, part: 'lit' },
  { id: 'eggs-dark', name: 'eggs > shadow side', thing: 6, shadow: true, tone: 3, from: 3, to: 4, part: 'shadow' },
] as const;
type MassId = (typeof MASSES)[number]['id'];

interface Seen {
  readonly width: number;
  readonly height: number;
  /** Place in the list of masses that each place is of. */
  readonly massOf: Uint8Array;
}

/** The scene as its masks have it; from the other side, left is right. */
async function seen(otherSide: boolean): Promise<Seen> {
  const [width, height] = [800, 667];
  const plane = async (name: string) => {
    const image = sharp(path.join(SCENE, `${name}.png`)).resize(width, height, { kernel: 'nearest', fit: 'fill' });
    const { data, info } = await (otherSide ? image.flop() : image).raw().toBuffer({ resolveWithObject: true });
    return Uint8Array.from({ length: width * height }, (_, i) => data[info.channels * i] as number);
  };
  const [things, shadow] = [await plane('things'), await plane('shadow')];
  const massOf = things.map((thing, i) =>
    MASSES.findIndex((m) => m.thing === thing && (m.shadow === null || m.shadow === (shadow[i] as number) > 127)),
  );
  return { width, height, massOf };
}

/** What somebody paints of it who sees each mass in its tone, but for those that are named. */
function paintedAs({ width, height, massOf }: Seen, mistakes: Partial<Record<MassId, number>>): ToneMap {
  const tones = MASSES.map((m) => mistakes[m.id] ?? m.tone);
  return { width, height, toneOf: massOf.map((k) => tones[k] as number) };
}

/** Brushed over line by line, as a teacher does who shows where a mass lies. */
function brushedOver({ width, height, massOf }: Seen): MassEdit[] {
  const wide = 0.012;
  const r = (wide * width) / 2;
  const edits: MassEdit[] = [];
  for (const [k, { id }] of MASSES.entries())
    for (let y = Math.round(r); y < height; y += Math.round(1.6 * r))
      for (let x = 0; x < width; x++) {
        if (massOf[y * width + x] !== k) continue;
        const from = x;
        while (x < width && massOf[y * width + x] === k) x++;
        if (x - from > 2 * r)
          edits.push({
            kind: 'stroke',
            width: wide,
            points: [(from + r) / width, y / height, (x - r) / width, y / height],
            mass: id,
          });
      }
  return edits;
}

const setUp: SetUp = {
  version: SET_UP_VERSION,
  lights: 1,
  tones: TONES,
  masses: MASSES.map(({ id, name, part, from, to }): SetUpMass => ({
    id,
    name,
    part,
    emphasis: 1,
    material: 'matt',
    blocked: 0,
    steps: { from, to, of: TONES },
  })),
};

/** What is painted from the set-up: in few tones, and in all its values. */
export interface FromLifeExercises {
  readonly tones: string;
  readonly values: string;
}

/** Keeps the set-up and sets two exercises from it. */
export async function setFromLife({ house, teacher, classId }: World): Promise<FromLifeExercises> {
  const words = {
    title: 'Jug, loaf and eggs under one lamp',
    note: 'On the round table by the window. One lamp, high on the right; leave it where it stands.',
  };
  const setUpId = await keepNewSetUp(house, teacher, words);
  await keepSetUp(house, teacher, setUpId, { ...words, setUp }, null);
  const values = await setExercise(house, teacher, classId, {
    title: 'The jug in all its greys, from life',
    note: 'Two masses first. Then the greys inside each, and the reflected light last: it belongs to the shadow.',
    dueAt: null,
    terms: defaultTerms('monochrome-painting'),
    setUpId,
  });
  const tones = await setExercise(house, teacher, classId, {
    title: 'The jug from where you sit',
    note: 'Four tones. Squint until the eggs are three lights and one dark.',
    dueAt: null,
    terms: { ...defaultTerms('notan'), tones: TONES, school: 'threshold' },
    setUpId,
  });
  return { tones, values };
}

/** A shadow that was painted as if the lamp reached it: L* too light. */
const LIT_SHADOW = 26;

/** The same set-up in all its values, its masses shown on it afterwards. */
async function paintedInGreys(world: World, exerciseId: string, student: Student): Promise<void> {
  const { ends } = defaultTerms('monochrome-painting');
  const plan = {
    ...CAREFUL,
    mistaken: new Map([[shadowOf(LOAF), LIT_SHADOW]]),
  };
  const attemptId = await handIn(world, student, exerciseId, 433, {
    plan: { lightness: [], faults: [] },
    picture: { seen: await seenInGreys(SCENE_NAME, ends), plan },
  });
  await paintMasses(world.house, world.teacher, attemptId, brushedOver(await seen(false)));
  await measureAttempt(world.house, attemptId);
}

/** One piece of work a hand-in. */
export function fromLifeHandIns(
  world: World,
  exercises: FromLifeExercises,
  who: readonly [Student, Student],
): (() => Promise<void>)[] {
  const { light, dark } = defaultTerms('notan').ends;
  const plan = {
    lightness: targetLightnesses(TONES, { light, dark }, 'light-first', 'lightness'),
    ragged: 0.0015,
    shift: { x: 0, y: 0 },
    streaks: 0.4,
  };
  return [
    () => paintedInGreys(world, exercises.values, who[0]),
    async () => {
      const view = await seen(false);
      const attemptId = await handIn(world, who[0], exercises.tones, 431, {
        plan: { lightness: [], faults: [] },
        tones: { map: paintedAs(view, { loaf: 4, 'jug-dark': 2, jug: 3 }), plan: { ...plan, frame: null } },
      });
      await paintMasses(world.house, world.teacher, attemptId, brushedOver(view));
    },
    async () => {
      const view = await seen(true);
      await handIn(world, who[1], exercises.tones, 432, {
        plan: { lightness: [], faults: [] },
        tones: { map: paintedAs(view, {}), plan: { ...plan, frame: { mm: 7, lightness: dark - 3 } } },
      });
    },
  ];
}
