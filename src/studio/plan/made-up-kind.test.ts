/** A kind that nobody knew is a row in the table: from setting to decision the rest of the program only asks what it is. */
import { scaleExerciseSchema } from '@/core/exercise/scale';
import type { ExerciseTerms } from '@/core/exercise/terms';
import { ALL_KINDS } from '@/core/kinds/all';
import type { Kind } from '@/core/kinds/kind';
import { valueScale } from '@/core/kinds/steps/value-scale';
import { defaultTerms, inShort, kindOf, labelsOf } from '@/core/kinds/table';
import { pagesOf } from '@/workers/printing/job';
import { z } from 'zod';
import { classOf } from '../access/actor';
import { editItem } from '../critique/critiquing';
import { decide } from '../critique/deciding';
import { measureAttempt } from '../hand-in/measuring';
import { eachInOwnHouse, resultWith, saidOf, type TestStudio } from '../test-studio';
import { myExercise } from '../views/my-work';
import { rackOf } from '../views/rack';
import { tableOf } from '../views/table';
import { tablePartOf } from '../views/table-part';
import { waitingOf } from '../views/today';
import { draftSheet, pagesToPrint, setExercise } from './exercises';

/** Three greys in a row: a value scale of a size that is its own. */
const threeGreys = {
  ...valueScale,
  id: 'three-greys',
  name: 'three greys',
  usualTitle: 'Light, middle, dark',
  task: 'Paint three cells, light, middle and dark, and nothing between.',
  measured: true,
  terms: scaleExerciseSchema.extend({ kind: z.literal('three-greys'), steps: z.literal(3) }),
  usual: (medium: 'gouache') => ({ ...valueScale.usual(medium), kind: 'three-greys', steps: 3 }),
  inShort: () => 'three greys',
};
// The list is fixed for the program alone: here one more stands at its end for a while, and nobody else meets rows of it.
const kinds = ALL_KINDS as unknown as Pick<Kind, 'id'>[];
beforeAll(() => void kinds.push(threeGreys as unknown as Kind));
afterAll(() => void kinds.pop());

let studio: TestStudio;
eachInOwnHouse((s) => (studio = s));

const threeSteps = () => {
  const { steps, gaps, ...rest } = resultWith(true);
  return { ...rest, steps: steps.slice(0, 3), gaps: gaps.slice(0, 2) };
};

test('it is described like every other', () => {
  const terms = defaultTerms('three-greys' as ExerciseTerms['kind']);
  expect(inShort(terms)).toBe('three greys');
  expect(labelsOf(terms, 'black-is-one')).toEqual(['3', '2', '1']);
  expect(kindOf(terms).values(terms)).toEqual([96, 60, 24]);
});

test('it goes from setting to decision', async () => {
  const { house, teacher, classId, bea } = studio;
  const terms = defaultTerms('three-greys' as ExerciseTerms['kind']);
  expect(JSON.stringify(draftSheet(await classOf(house, teacher, classId), 'Three', terms))).toContain('three-greys');
  const exerciseId = await setExercise(house, teacher, classId, { title: 'Three', note: '', dueAt: null, terms });
  const pages = [...pagesOf(await pagesToPrint(house, teacher, exerciseId, bea.studentId))];
  expect(JSON.stringify(pages)).toContain('light, middle and dark, and nothing between');
  studio.next(threeSteps());
  const id = await studio.send(bea, 140, exerciseId);
  await measureAttempt(house, id);
  expect(studio.lastTask()).toMatchObject({ task: 'measure-scale', terms: { kind: 'three-greys', steps: 3 } });
  expect((await waitingOf(house, teacher)).first.map((w) => w.glance.kind)).toEqual(['scale']);
  const cell = (await rackOf(house, teacher, classId)).cells.find((c) => c.glance !== null);
  expect(cell?.glance).toMatchObject({ state: 'waiting', kind: 'scale' });
  expect(cell?.glance?.steps).toHaveLength(3);
  const table = await tableOf(house, teacher, cell?.glance?.handInId ?? '');
  const part = await tablePartOf(house, teacher, table, table.attempts[0] ?? null, labelsOf(terms, 'white-is-one'));
  expect(part).toMatchObject({ kind: 'scale', row: { perRow: 3, tall: false } });
  const said = await saidOf(studio, id);
  expect(said.map((i) => i.original.key)).toContain('streaky steps 3');
  await editItem(house, teacher, id, 'streaky steps 3', { say: 'The dark one is streaked.' }, null);
  await decide(house, teacher, id, 'again');
  const { attempts } = await myExercise(house, bea, exerciseId);
  expect(attempts[0]?.letter?.items.at(-1)?.say).toBe('The dark one is streaked.');
});

test('terms that are not its own are told, and nothing is kept', async () => {
  const { house, teacher, classId } = studio;
  const terms = { ...defaultTerms('three-greys' as ExerciseTerms['kind']), steps: 4 } as ExerciseTerms;
  await expect(setExercise(house, teacher, classId, { title: 'Four', note: '', dueAt: null, terms })).rejects.toThrow();
});
