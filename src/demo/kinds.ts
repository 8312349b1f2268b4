/** The sample world's other ways of handing in: bands, one colour, chips, a board with corner pieces, corners by hand, strays. */
import { bandPicture } from '@/core/bands/band-picture';
import type { StoredTarget } from '@/core/capture/stored-target';
import { defaultScale } from '@/core/exercise/scale';
import { targetLightnesses } from '@/core/exercise/targets';
import type { SteppedTerms, TermsOf } from '@/core/exercise/terms';
import { predictedSteps } from '@/core/kinds/exercise-recipe';
import { defaultTerms, exerciseLayout } from '@/core/kinds/table';
import { bracketPage, drawBrackets } from '@/core/sheet/brackets';
import { newId } from '@/data/schema/ids';
import { students } from '@/data/schema/tables';
import { shotFor } from '@/devices/camera-conditions';
import { project } from '@/devices/optics';
import type { PaintPlan } from '@/devices/painter';
import { exerciseFor, type Student, type Teacher } from '@/studio/access/actor';
import { measureAttempt } from '@/studio/hand-in/measuring';
import { sortIntoClass } from '@/studio/hand-in/pile';
import { receivePhoto } from '@/studio/hand-in/receive';
import type { House } from '@/studio/house';
import { setExercise, sheetOf } from '@/studio/plan/exercises';
import type { PracticeTask } from '@/workers/practice/camera';
import { eq } from 'drizzle-orm';
import { rm, writeFile } from 'node:fs/promises';
import path from 'node:path';

const CAMERA = { condition: 'window', megapixels: 8, orientation: 1, location: false } as const;
const LIMIT_MS = 120_000;

export interface World {
  readonly house: House;
  readonly teacher: Teacher;
  readonly classId: string;
}

export type Extra = Omit<PracticeTask, 'task' | 'sheet' | 'layout' | 'seed' | keyof typeof CAMERA> & {
  readonly condition?: PracticeTask['condition'];
};

async function photographOf(
  { house }: World,
  student: Student,
  exerciseId: string,
  seed: number,
  extra: Extra,
): Promise<string> {
  const [row] = await house.db.select().from(students).where(eq(students.id, student.studentId));
  const own = await exerciseFor(house, student, exerciseId);
  const sheet = extra.board ? drawBrackets(bracketPage('a4')) : sheetOf(own, row ?? null);
  const bytes = await house.pool.run(
    { task: 'practice', ...CAMERA, sheet, layout: exerciseLayout(own.exercise.terms), seed, ...extra },
    { limitMs: LIMIT_MS },
  );
  const file = path.join(house.files.incoming, `demo-${newId()}`);
  await writeFile(file, bytes);
  return file;
}

/** Paints, photographs and hands in; the id of the attempt. */
export async function handIn(
  world: World,
  student: Student,
  exerciseId: string,
  seed: number,
  extra: Extra,
  target: StoredTarget | null = null,
): Promise<string> {
  const file = await photographOf(world, student, exerciseId, seed, extra);
  try {
    const { attemptId } = await receivePhoto(world.house, student, exerciseId, file, target);
    await measureAttempt(world.house, attemptId);
    return attemptId;
  } finally {
    await rm(file, { force: true });
  }
}

const even = (terms: SteppedTerms): number[] => targetLightnesses(terms.steps, terms.ends, terms.order, terms.spacing);

/** Bands one of which all but meets its neighbour, under silhouettes in one black. */
function paintedBands(terms: TermsOf<'bands'>): Pick<Extra, 'plan' | 'areas'> {
  const picture = bandPicture(terms);
  const frame = exerciseLayout(terms).cells[0];
  const rings = (shape: (typeof picture.bands)[number]['shape']) =>
    shape.flat().map((ring) => ring.map(([x, y]) => [x + (frame?.xMm ?? 0), y + (frame?.yMm ?? 0)] as const));
  const targets = targetLightnesses(terms.steps, terms.ends, 'light-first', 'lightness');
  const bands = picture.bands.map((b, i) => ({
    rings: rings(b.shape),
    lightness: (targets[i] ?? 50) + (i === 3 ? 8 : 0),
    waver: 0.7,
    streaks: 0.4,
  }));
  const front = picture.silhouette
    ? [{ rings: rings(picture.silhouette.shape), lightness: terms.ends.dark, waver: 0.5, streaks: 0.3 }]
    : [];
  return { plan: { lightness: [], faults: [] }, areas: [...bands, ...front] };
}

/** A scale of one colour as its paints make it, but for one step whose hue went astray. */
function paintedColour(terms: TermsOf<'monochrome-scale'>): Pick<Extra, 'plan'> {
  const labs = predictedSteps(terms)?.labs ?? [];
  const astray = 6;
  const faults = labs.map(([, a, b], i) => {
    const turn = i + 1 === astray ? -0.7 : 0;
    return {
      kind: 'drift' as const,
      step: i + 1,
      a: a * Math.cos(turn) - b * Math.sin(turn),
      b: a * Math.sin(turn) + b * Math.cos(turn),
    };
  });
  return { plan: { lightness: labs.map((l) => l[0]), faults } };
}

/** Greys with six chips, two of them under the wrong grey. */
function paintedChips(terms: TermsOf<'colours-on-scale'>): Pick<Extra, 'plan' | 'paintOn'> {
  const layout = exerciseLayout(terms);
  const greys = even(terms);
  const chips = [
    [1, 1, -4, 16],
    [3, 3, -28, 24],
    [4, 6, 46, 26],
    [6, 6, 10, -30],
    [7, 7, 24, 14],
    [14, 3, 8, 40],
  ] as const;
  const places = chips.flatMap(([place], i) =>
    layout.chips.filter((c) => c.index === place).map((c) => ({ ...c, index: terms.steps + i + 1 })),
  );
  const plan: PaintPlan = {
    lightness: [...greys, ...chips.map(([, like]) => greys[like - 1] ?? 50)],
    faults: chips.map(([, , a, b], i) => ({ kind: 'drift', step: terms.steps + i + 1, a, b })),
  };
  return { plan, paintOn: [...layout.cells, ...places] };
}

/** Where the strip's corners lie in the photograph of that seed, as a hand would mark them. */
function markedBy(terms: SteppedTerms, seed: number): StoredTarget {
  const layout = exerciseLayout(terms);
  const shot = shotFor(CAMERA.condition, layout, seed, CAMERA.megapixels);
  const { toPixel } = project(shot.pose, shot, layout);
  const [a, b] = [layout.cells[0], layout.cells.at(-1)];
  if (!a || !b) throw new Error('The sheet has no cells.');
  const corners = (
    [
      [a.xMm, a.yMm],
      [b.xMm + b.widthMm, a.yMm],
      [b.xMm + b.widthMm, b.yMm + b.heightMm],
      [a.xMm, b.yMm + b.heightMm],
    ] as const
  ).map(([x, y]) => {
    const [px, py] = toPixel(x, y);
    return { x: px / shot.width, y: py / shot.height };
  });
  return { kind: 'marked', corners };
}

const chips = defaultTerms('colours-on-scale');
const strip = defaultScale('gouache', 7);

export interface OtherExercises {
  readonly chips: string;
  readonly strip: string;
}

export async function setOthers({ house, teacher, classId }: World): Promise<OtherExercises> {
  const set = (title: string, terms: SteppedTerms) =>
    setExercise(house, teacher, classId, { title, note: '', dueAt: null, terms });
  return {
    chips: await set('Colours laid under their greys', chips),
    strip: await set('Seven greys on a board', strip),
  };
}

/** What is still to be painted and photographed, one piece of work each. */
export async function otherKinds(
  world: World,
  { chips: chipsId, strip: stripId }: OtherExercises,
  bandsId: string,
  colourId: string,
  who: readonly Student[],
): Promise<(() => Promise<unknown>)[]> {
  const { house, teacher, classId } = world;
  const [maren, ivo, suli, pell, adaeze] = who as readonly [Student, Student, Student, Student, Student];
  const uneven = even(strip).map((l, i) => (i === 3 ? l + 7 : l));
  const stray = async (name: string, seed: number, condition: PracticeTask['condition']) => {
    const own = await exerciseFor(house, teacher, stripId);
    const bytes = await house.pool.run(
      {
        task: 'practice',
        ...CAMERA,
        condition,
        sheet: sheetOf(own, null),
        layout: exerciseLayout(strip),
        plan: { lightness: even(strip), faults: [] },
        seed,
      },
      { limitMs: LIMIT_MS },
    );
    const file = path.join(house.files.incoming, `demo-${newId()}`);
    await writeFile(file, bytes);
    try {
      await sortIntoClass(house, teacher, classId, name, file);
    } finally {
      await rm(file, { force: true });
    }
  };
  const bandTerms = (await exerciseFor(house, teacher, bandsId)).exercise.terms;
  const colourTerms = (await exerciseFor(house, teacher, colourId)).exercise.terms;
  if (bandTerms.kind !== 'bands' || colourTerms.kind !== 'monochrome-scale')
    throw new Error('The sample exercises are of other kinds.');
  return [
    () => handIn(world, maren, bandsId, 301, paintedBands(bandTerms)),
    () => handIn(world, ivo, colourId, 302, paintedColour(colourTerms)),
    () => handIn(world, suli, chipsId, 303, paintedChips(chips)),
    () =>
      handIn(
        world,
        pell,
        stripId,
        304,
        {
          plan: { lightness: uneven, faults: [] },
          board: { pieces: bracketPage('a4').brackets, widthMm: 500, heightMm: 300 },
        },
        { kind: 'brackets', depthMm: 0 },
      ),
    () => handIn(world, adaeze, stripId, 305, { plan: { lightness: uneven, faults: [] } }, markedBy(strip, 305)),
    () => stray('table by the window.jpg', 306, 'no-sheet'),
    () => stray('nobody’s sheet.jpg', 307, 'studio'),
  ];
}
