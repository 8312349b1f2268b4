/** Paintings measured against the picture that the exercise is painted from. */
import { isPicture } from '@/core/exercise/terms';
import { kindsOnSheetOf, sittingIn } from '@/core/kinds/table';
import type { Photograph } from '@/workers/tasks/measure';
import type { House } from '../house';
import { prepared, referenceOfExercise } from '../reference/references';
import { keepFile } from './receive';
import { stageBefore, stageOfAttempt } from './stages';
import type { Measured, ToMeasure } from './to-measure';

/** Null where the exercise is painted from no picture, and a person judges by eye. */
export async function measuredPainting(
  house: House,
  own: ToMeasure,
  photo: Photograph,
  how: Parameters<House['pool']['run']>[1],
): Promise<Measured | null> {
  const { exercise, attempt, terms } = own;
  const picture = await referenceOfExercise(house, exercise.referenceId);
  if (!picture || !isPicture(terms)) return null;
  const stage = stageOfAttempt(own);
  const sitting = sittingIn(terms, picture.preparation);
  const { result, wanted, laid } = await house.pool.run(
    {
      task: 'measure-painting',
      ...photo,
      reference: prepared(house, picture, picture.preparation, { ends: terms.ends, ...sitting }),
      toleranceSteps: stage?.toleranceSteps ?? terms.toleranceSteps,
      ...(stage && {
        stage: { asks: stage.asks, last: stage.last, before: await stageBefore(house, own, picture) },
      }),
      ruleWins: terms.judging.rulesWin,
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
