/** The sample world's pictures: brought in, one of them prepared in both schools, painted in two tones and in three. */
import type { TermsOf } from '@/core/exercise/terms';
import { defaultTerms } from '@/core/kinds/table';
import type { ToneMap } from '@/devices/notan-painter';
import { exerciseFor, type Student } from '@/studio/access/actor';
import { setExercise } from '@/studio/plan/exercises';
import { bringIn, exerciseReference, keepPreparation, referenceFor } from '@/studio/reference/references';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import sharp from 'sharp';
import { handIn, type World } from './kinds';
import { type NotanHabit, paintedBy } from './painted-notan';
import { namedShape, PICTURE_FOLDER, PICTURES } from './pictures';

/** What a teacher corrected of the proposed map of the greenhouse bench: dark things in the light, and the plant's lit leaves. */
const PAINTED_FROM = 'greenhouse-bench';

async function bring({ house, teacher }: World, name: string): Promise<string> {
  const about = JSON.parse(readFileSync(path.join(PICTURE_FOLDER, name, 'about.json'), 'utf8')) as { title: string };
  return bringIn(house, teacher, path.join(PICTURE_FOLDER, name, 'picture.jpg'), {
    title: about.title,
    source: 'rendered for the Tidewell Evening Studio',
    licence: 'anybody, for anything',
    note: '',
  });
}

/** Brings all pictures in and prepares one; the id of that one. */
export async function setReferences(world: World): Promise<string> {
  const { house, teacher } = world;
  let chosen = '';
  for (const name of PICTURES) {
    const id = await bring(world, name);
    if (name === PAINTED_FROM) chosen = id;
  }
  const row = await referenceFor(house, teacher, chosen);
  const { preparation } = row;
  await keepPreparation(
    house,
    teacher,
    chosen,
    {
      ...preparation,
      squint: 0.6,
      dissolve: 0.004,
      smooth: 0.4,
      // The turned watering can's own dark and the leaves that the light reaches, brushed right.
      light: {
        ...preparation.light,
        edits: [{ kind: 'stroke', to: 'light', width: 0.05, points: [0.06, 0.27, 0.12, 0.2, 0.2, 0.17, 0.27, 0.18] }],
      },
      shapes: {
        cut: { squint: 0.6, dissolve: 0.004, smooth: 0.4, thresholds: [36, 52, 64] },
        edits: [],
        named: [
          namedShape(0.6, 0.62, 'can > shadow side', 'shadow', 1.5),
          namedShape(0.39, 0.76, 'fallen pot > inside', 'shadow'),
          namedShape(0.23, 0.6, 'large pot > shadow side', 'shadow'),
          namedShape(0.05, 0.33, 'plant', null, 0.8),
          namedShape(0.85, 0.3, 'wall and bench', 'lit'),
        ],
      },
    },
    null,
  );
  return chosen;
}

export interface NotanExercises {
  readonly two: string;
  readonly three: string;
}

export async function setNotans({ house, teacher, classId }: World, referenceId: string): Promise<NotanExercises> {
  const set = (title: string, note: string, terms: TermsOf<'notan'>) =>
    setExercise(house, teacher, classId, { title, note, dueAt: null, terms, referenceId });
  return {
    three: await set('The bench in three tones', 'One grey between the light and the dark, and nothing else.', {
      ...defaultTerms('notan'),
      tones: 3,
      school: 'threshold',
    }),
    two: await set(
      'The bench in light and shadow',
      'Big shapes only. Where a shadow runs into a shadow, let it.',
      defaultTerms('notan'),
    ),
  };
}

/** The picture in its tones, as its painter has it beside the easel. */
async function mapOf({ house, teacher }: World, exerciseId: string): Promise<ToneMap> {
  const bytes = await exerciseReference(house, teacher, exerciseId, 'tones');
  if (!bytes) throw new Error('The sample exercise has no picture.');
  const { data, info } = await sharp(bytes).toColourspace('b-w').raw().toBuffer({ resolveWithObject: true });
  const greys = [...new Set(data)].sort((a, b) => b - a);
  return { width: info.width, height: info.height, toneOf: Uint8Array.from(data, (v) => 1 + greys.indexOf(v)) };
}

/** One piece of work a hand-in. */
export function notanHandIns(
  world: World,
  { two, three }: NotanExercises,
  who: readonly Student[],
): (() => Promise<void>)[] {
  const paint = (student: number, exerciseId: string, habit: NotanHabit, seed: number) => async () => {
    const own = await exerciseFor(world.house, world.teacher, exerciseId);
    const { terms } = own.exercise;
    const [person] = who.slice(student, student + 1);
    if (terms.kind !== 'notan' || !person) throw new Error('The sample exercise is of another kind.');
    const tones = paintedBy(habit, await mapOf(world, exerciseId), terms.tones, terms.ends, seed);
    await handIn(world, person, exerciseId, seed, { plan: { lightness: [], faults: [] }, tones });
  };
  return [
    paint(0, two, 'flipped', 401),
    paint(1, two, 'excellent', 402),
    paint(2, two, 'slivers', 403),
    paint(3, two, 'grey-for-black', 404),
    paint(4, three, 'large-brush', 405),
    paint(5, three, 'same-size', 406),
    paint(6, three, 'ragged', 407),
  ];
}
