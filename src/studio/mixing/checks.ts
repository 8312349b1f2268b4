/** Checks of a mix: a dab is photographed, read, and answered at once. The photograph is not kept. */
import { labToLinearRgb } from '@/core/colour/lab';
import { type ExerciseTerms, isStepped } from '@/core/exercise/terms';
import { PAPER_LAB, recipeOf, recipePaints, runAt } from '@/core/kinds/exercise-recipe';
import { valuesOf } from '@/core/kinds/table';
import { dryOf, USUAL_SHIFT } from '@/core/mixing/dry-shift';
import { HAND_NOISE, type LoggedMix } from '@/core/mixing/logged-mix';
import { nudge, type Nudge } from '@/core/mixing/nudge';
import { coveringLab, mixModel, type PaintModel, paletteOf } from '@/core/mixing/paint-model';
import { SURFACE_OF } from '@/core/mixing/surface';
import { type DabVerdict, dabVerdict } from '@/core/mixing/verdict';
import { newId } from '@/data/schema/ids';
import { dabChecks } from '@/data/schema/tables';
import { inspectPicture } from '@/workers/decoding/decode';
import { and, asc, eq } from 'drizzle-orm';
import { exerciseOfMine, Refused, type Student } from '../access/actor';
import type { House } from '../house';
import { classPalette, figuresFor, logMix } from './palettes';

const LIMIT_MS = 60_000;

export interface CheckRequest {
  /** From 1, in reading order. */
  readonly step: number;
  readonly wet: boolean;
  /** Whether it was mixed just as the recipe says, so that the class's paints can be learnt from it. */
  readonly asTheRecipe: boolean;
}

export interface DabCheck {
  readonly id: string;
  readonly step: number;
  /** L* that it is, or will be once dry. */
  readonly lightness: number;
  readonly target: number;
  readonly uncertainty: number;
  readonly wet: boolean;
}

export interface CheckAnswer extends DabCheck {
  /** Why the class’s paints were not learnt from it, though they were to be; null where they were, or nobody asked. */
  readonly notLearnt: string | null;
  readonly nudge: Nudge;
  readonly verdict: DabVerdict;
}

const ends = (terms: ExerciseTerms) => {
  const paints = recipePaints(terms);
  if (!paints)
    throw new Refused('This exercise’s paints make no row of steps, so there is nothing to compare a mix with.');
  return paints;
};

/**
 * Reads a dab in a photograph and says what to do next. Throws Refused where the picture can't be used, with what to
 * do, and where nothing is painted there.
 */
export async function checkDab(
  house: House,
  student: Student,
  exerciseId: string,
  request: CheckRequest,
  file: string,
): Promise<CheckAnswer> {
  const { exercise, class: own, me } = await exerciseOfMine(house, student, exerciseId);
  const { terms } = exercise;
  const targets = valuesOf(terms);
  const { step, wet } = request;
  if (!isStepped(terms) || step < 1 || step > targets.length)
    throw new Refused('Choose one of the steps of this exercise.');
  const paints = ends(terms);
  await inspectPicture(file);
  const { issues, reading, bare } = await house.pool.run(
    { task: 'dab', file, terms, dab: step, expected: { exercise: exerciseId, student: me.studentId } },
    { limitMs: LIMIT_MS },
  );
  if (!reading) throw new Refused(issues[0]?.say ?? 'This picture can’t be read: take it once more.');
  const target = targets[step - 1] ?? 0;
  if (bare && target < 90)
    throw new Refused('There is no paint on that dab yet: fill it, and photograph the sheet again.');

  const known = await classPalette(house, own.id, terms.medium);
  const figures = await figuresFor(house, own.id, terms.medium);
  const shift = known.fit?.shift ?? USUAL_SHIFT[terms.medium];
  const [l, a, b] = reading.lab;
  const dry = wet ? dryOf(l, shift) : l;
  const id = newId();
  await house.db.insert(dabChecks).values({
    id,
    exerciseId,
    studentId: me.studentId,
    step,
    lightness: l,
    a,
    b,
    uncertainty: reading.uncertainty,
    wet,
  });

  const surface = SURFACE_OF[terms.medium];
  const palette = paletteOf(terms.materials.paints, figures);
  const recipe = recipeOf(terms, figures);
  const meant = recipe?.steps[step - 1];
  const notLearnt =
    request.asTheRecipe && meant
      ? await learn(house, own.id, terms, {
          parts: meant.shares,
          lightness: l,
          a,
          b,
          wet,
          noise: Math.max(HAND_NOISE, reading.uncertainty / 2),
        })
      : null;
  const run = runAt(palette, paints, target, surface);
  const [light, dark] = [run.light, run.dark].map((id) => mixModel(palette, { [id]: 1 })) as [PaintModel, PaintModel];
  const model = meant ? mixModel(palette, meant.shares) : light;
  const others = recipe?.steps.filter((s) => s.step !== step).map((s) => s.lab) ?? [];
  // A photograph's lightness is what is sure; its colour is not, so the verdict is by lightness beside the foretold colour.
  const [, meantA, meantB] = coveringLab(model, surface);
  const verdict = dabVerdict([dry, meantA, meantB], model, labToLinearRgb(PAPER_LAB), others, surface);
  return {
    id,
    step,
    notLearnt,
    lightness: dry,
    target,
    uncertainty: reading.uncertainty,
    wet,
    nudge: nudge(dry, step, targets, light, dark, surface),
    verdict,
  };
}

/** Learns from a dab that was mixed as the recipe says; a reading that can’t be is told, and the check stands all the same. */
async function learn(
  house: House,
  classId: string,
  { medium, materials }: ExerciseTerms,
  mix: LoggedMix,
): Promise<string | null> {
  const { paints } = await classPalette(house, classId, medium);
  if (!materials.paints.every((p) => paints.includes(p)))
    return 'The class’s palette lacks a paint of this exercise, so nothing is learnt from it.';
  try {
    await logMix(house, classId, medium, mix, 'photograph');
    return null;
  } catch (error) {
    if (error instanceof Refused) return error.message;
    throw error;
  }
}

/** A student's checks of an exercise, oldest first: the walk to each step. */
export async function walkOf(house: House, student: Student, exerciseId: string): Promise<DabCheck[]> {
  const { exercise, class: own, me } = await exerciseOfMine(house, student, exerciseId);
  const targets = valuesOf(exercise.terms);
  const known = await classPalette(house, own.id, exercise.terms.medium);
  const shift = known.fit?.shift ?? USUAL_SHIFT[exercise.terms.medium];
  const rows = await house.db
    .select()
    .from(dabChecks)
    .where(and(eq(dabChecks.exerciseId, exerciseId), eq(dabChecks.studentId, me.studentId)))
    .orderBy(asc(dabChecks.createdAt), asc(dabChecks.id));
  return rows.map((r) => ({
    id: r.id,
    step: r.step,
    lightness: r.wet ? dryOf(r.lightness, shift) : r.lightness,
    target: targets[r.step - 1] ?? 0,
    uncertainty: r.uncertainty,
    wet: r.wet,
  }));
}
