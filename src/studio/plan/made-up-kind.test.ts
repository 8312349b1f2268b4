/** A kind that nobody knew is a row in the table: from setting to decision the rest of the program only asks what it is. */
import type { ExerciseTerms } from '@/core/exercise/terms';
import type { Kind } from '@/core/kinds/kind';
import { jest } from '@jest/globals';
import { z } from 'zod';

/** Three greys in a row: a value scale of a size that is its own. */
async function threeGreys(): Promise<Kind> {
  const { valueScale } = await import('@/core/kinds/steps/value-scale');
  const { scaleExerciseSchema } = await import('@/core/exercise/scale');
  const terms = scaleExerciseSchema.extend({ kind: z.literal('three-greys'), steps: z.literal(3) });
  return {
    ...valueScale,
    id: 'three-greys',
    name: 'three greys',
    usualTitle: 'Light, middle, dark',
    task: 'Paint three cells, light, middle and dark, and nothing between.',
    measured: true,
    terms,
    usual: (medium: 'gouache') => ({ ...valueScale.usual(medium), kind: 'three-greys', steps: 3 }),
    inShort: () => 'three greys',
  } as unknown as Kind;
}

const { ALL_KINDS } = await import('@/core/kinds/all');
const made = await threeGreys();
jest.unstable_mockModule('@/core/kinds/all', () => ({ ALL_KINDS: [...ALL_KINDS, made] }));
const { KIND_IDS, defaultTerms, inShort, kindOf, labelsOf } = await import('@/core/kinds/table');
const { eachInNewStudio, resultWith, saidOf } = await import('../test-studio');
const { pagesOf } = await import('@/workers/printing/job');
const { draftSheet, setExercise, pagesToPrint } = await import('./exercises');
const { measureAttempt } = await import('../hand-in/measuring');
const { editItem } = await import('../critique/critiquing');
const { decide } = await import('../critique/deciding');
const { rackOf } = await import('../views/rack');
const { tableOf } = await import('../views/table');
const { tablePartOf } = await import('../views/table-part');
const { myExercise } = await import('../views/my-work');
const { waitingOf } = await import('../views/today');
const { classOf } = await import('../access/actor');

let studio: Parameters<Parameters<typeof eachInNewStudio>[0]>[0];
eachInNewStudio((s) => (studio = s));

const threeSteps = () => {
  const { steps, gaps, ...rest } = resultWith(true);
  return { ...rest, steps: steps.slice(0, 3), gaps: gaps.slice(0, 2) };
};

test('it is offered and described like every other', () => {
  expect(KIND_IDS).toContain('three-greys');
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
