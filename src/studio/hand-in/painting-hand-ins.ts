/** Paintings measured against the picture that the exercise is painted from. */
import { isPicture, type PictureTerms } from '@/core/exercise/terms';
import { kindOf, kindsOnSheetOf, sittingIn } from '@/core/kinds/table';
import type { Photograph } from '@/workers/tasks/measure';
import type { House } from '../house';
import { prepared, referenceOfExercise } from '../reference/references';
import { setUpOfExercise } from './notan-hand-ins';
import { keepFile } from './receive';
import { stageBefore, stageOfAttempt } from './stages';
import type { Measured, ToMeasure } from './to-measure';

type How = Parameters<House['pool']['run']>[1];

/** From life: by the masses of the set-up, once they were shown on the painting. Null where it is painted from nothing that is kept. */
async function measuredFromLife(
  house: House,
  { exercise, attempt }: ToMeasure,
  terms: PictureTerms,
  photo: Photograph,
  how: How,
): Promise<Measured | null> {
  const life = await setUpOfExercise(house, exercise);
  if (!life || kindOf(terms).measured !== 'with-reference') return null;
  const { masses, lights } = life.setUp;
  const { result, lightness } = await house.pool.run(
    {
      task: 'measure-from-life',
      ...photo,
      ends: terms.ends,
      key: terms.judging.key,
      painted: attempt.masses && { masses, lights, edits: attempt.masses.edits },
      accent: kindOf(terms).accent?.(terms),
      target: attempt.target,
      sheetKinds: kindsOnSheetOf(terms),
    },
    how,
  );
  if (!lightness) return { result, against: null };
  const kept = await keepFile(house, lightness, 'image/png');
  const against = {
    kind: 'set-up' as const,
    reference: life.id,
    revision: life.revision,
    planes: kept,
    lightness: kept,
    names: [],
    readings: [],
  };
  return { result, against };
}

/** By nothing but its own earlier state, where there is one: it is looked at beside that, and else beside itself. */
async function measuredAgainstItself(
  house: House,
  own: ToMeasure,
  terms: PictureTerms,
  photo: Photograph,
  how: How,
): Promise<Measured> {
  const stage = stageOfAttempt(own);
  const before = await stageBefore(house, own, null);
  const asked = stage && { asks: stage.asks, last: stage.last };
  const framing = { ...photo, target: own.attempt.target, sheetKinds: kindsOnSheetOf(terms) };
  const itself = { kind: 'itself' as const, reference: '', revision: 0, names: [], readings: [] };
  if (kindOf(terms).againstItself === 'first-panel' && before && asked) {
    const { result, laid } = await house.pool.run(
      {
        ...framing,
        task: 'measure-painting',
        reference: {
          panel: await house.files.local(before),
          preparation: { ends: terms.ends, key: terms.judging.key },
        },
        toleranceSteps: terms.toleranceSteps,
        stage: { ...asked, before: null },
        ruleWins: false,
        coloured: false,
      },
      how,
    );
    const lightness = laid && (await keepFile(house, laid, 'image/png'));
    return { result, against: lightness === null ? null : { ...itself, planes: before, lightness } };
  }
  const { result, lightness } = await house.pool.run(
    {
      ...framing,
      task: 'measure-from-life',
      ends: terms.ends,
      key: terms.judging.key,
      painted: null,
      ...(asked && { stage: { ...asked, before: before && (await house.files.local(before)) } }),
    },
    how,
  );
  if (!lightness) return { result, against: null };
  const kept = await keepFile(house, lightness, 'image/png');
  return { result, against: { ...itself, planes: before ?? kept, lightness: kept } };
}

/** Null where the exercise is painted from neither a picture nor a set-up, and a person judges by eye. */
export async function measuredPainting(
  house: House,
  own: ToMeasure,
  photo: Photograph,
  how: How,
): Promise<Measured | null> {
  const { exercise, attempt, terms } = own;
  const picture = await referenceOfExercise(house, exercise.referenceId);
  if (!isPicture(terms)) return null;
  if (kindOf(terms).againstItself) return measuredAgainstItself(house, own, terms, photo, how);
  if (!picture) return measuredFromLife(house, own, terms, photo, how);
  const stage = stageOfAttempt(own);
  const before = stage && (await stageBefore(house, own, picture));
  const sitting = sittingIn(terms, picture.preparation);
  const { result, wanted, laid } = await house.pool.run(
    {
      task: 'measure-painting',
      ...photo,
      reference: await prepared(house, picture, picture.preparation, { ends: terms.ends, ...sitting }),
      toleranceSteps: stage?.toleranceSteps ?? terms.toleranceSteps,
      ...(stage && {
        stage: { asks: stage.asks, last: stage.last, before: before && (await house.files.local(before)) },
      }),
      ruleWins: terms.judging.rulesWin,
      coloured: terms.judging.colourPass,
      accent: kindOf(terms).accent?.(terms),
      target: attempt.target,
      sheetKinds: kindsOnSheetOf(terms),
    },
    how,
  );
  if (!wanted || !laid) return { result, against: null };
  const against = {
    kind: 'picture' as const,
    reference: picture.id,
    revision: picture.revision,
    planes: await keepFile(house, wanted, 'image/png'),
    lightness: await keepFile(house, laid, 'image/png'),
    names: [],
    readings: [],
  };
  return { result, against };
}
