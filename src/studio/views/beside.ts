/** A painting beside other pictures of its teacher: the exemplars of what it is painted from, and any other that is asked for. */
import { keyedEnds, pictureStep } from '@/core/exercise/key';
import { isPicture } from '@/core/exercise/terms';
import { sayPattern, sayPush, sayShares } from '@/core/critique/whole-words';
import type { AsAWholeTask } from '@/workers/tasks/as-a-whole';
import { attemptFor, Refused, type Teacher } from '../access/actor';
import type { House } from '../house';
import { prepared, referenceOfExercise, referencesOf } from '../reference/references';
import { measuredOfOne } from './measured';

export interface SeenBeside {
  readonly id: string;
  readonly title: string;
  /** Addresses of it in greys and in three values. */
  readonly greys: string;
  readonly thirds: string;
  readonly says: readonly string[];
}

export interface Beside {
  /** The painting first. */
  readonly seen: readonly SeenBeside[];
  /** What else could stand beside it. */
  readonly others: readonly { readonly id: string; readonly title: string }[];
}

const addressOf = (png: Uint8Array) => `data:image/png;base64,${Buffer.from(png).toString('base64')}`;

/**
 * @param also - a picture of the teacher's that is to stand there too; null for none.
 * @throws Refused where the painting was not measured.
 */
export async function besideOthers(
  house: House,
  teacher: Teacher,
  attemptId: string,
  also: string | null,
): Promise<Beside> {
  const { attempt, exercise } = await attemptFor(house, teacher, attemptId);
  const measured = await measuredOfOne(house, attemptId);
  const terms = attempt.terms ?? exercise.terms;
  const lightness = measured && 'against' in measured ? measured.against?.lightness : null;
  if (!lightness || !isPicture(terms))
    throw new Refused('Only a painting that was measured can stand beside others. Measure it once more.');
  const ends = keyedEnds(terms.ends, terms.judging.key);
  const step = pictureStep(terms.ends);
  const own = await referenceOfExercise(house, exercise.referenceId);
  const all = await referencesOf(house, teacher);
  const chosen = [...new Set([...(own?.preparation.exemplars ?? []), ...(also === null ? [] : [also])])];
  const rows = chosen.flatMap((id) => all.find((r) => r.id === id) ?? []);
  const look = async (id: string, title: string, of: AsAWholeTask['of']): Promise<SeenBeside> => {
    const { whole, greys, thirds } = await house.pool.run({ task: 'as-a-whole', of, ends });
    const says = [sayShares(whole), sayPattern(whole), sayPush(whole, step)];
    return { id, title, greys: addressOf(greys), thirds: addressOf(thirds), says };
  };
  const seen = [await look(attemptId, 'The painting', await house.files.local(lightness))];
  for (const row of rows) seen.push(await look(row.id, row.title, await prepared(house, row)));
  const shown = new Set(chosen);
  return { seen, others: all.filter((r) => !shown.has(r.id)).map(({ id, title }) => ({ id, title })) };
}
