import { pagesOf } from '@/workers/printing/job';
import { defaultTerms, isMeasured, KIND_IDS } from '@/core/kinds/table';
import { attempts, exercises, handIns } from '@/data/schema/tables';
import { eq } from 'drizzle-orm';
import { changeClass } from '../class/people';
import { decide } from '../critique/deciding';
import { measureAttempt } from '../hand-in/measuring';
import { eachInNewStudio, type TestStudio } from '../test-studio';
import { paintedInValues } from '../test-picture';
import { myExercise } from '../views/my-work';
import { tableOf } from '../views/table';
import { duplicateExercise, reviseExercise, setExercise, pagesToPrint } from './exercises';

let studio: TestStudio;
eachInNewStudio((fresh) => {
  studio = fresh;
});

const given = (terms: Parameters<typeof setExercise>[3]['terms'], more: object = {}) => ({
  title: 'An exercise',
  note: '',
  dueAt: null,
  terms,
  ...more,
});
const stored = async (id: string) => (await studio.house.db.select().from(exercises).where(eq(exercises.id, id)))[0];

test.each(KIND_IDS)('%s is set, printed for everybody with a handout, handed in and decided', async (kind) => {
  const { house, teacher, classId, bea } = studio;
  const id = await setExercise(house, teacher, classId, given(defaultTerms(kind)));
  expect((await stored(id))?.terms).toEqual(defaultTerms(kind));
  const pages = [...pagesOf(await pagesToPrint(house, teacher, id, null))];
  // Two students: a sheet, a handout and, where there is a row of steps to mix, the mixes each.
  expect(pages).toHaveLength(kind === 'notan' ? 4 : 6);
  expect(JSON.stringify(pages[0])).toContain(`FG1:${kind}:`);
  expect(JSON.stringify(pages[1])).toContain('Order of work');
  studio.nextPainting(await paintedInValues());
  const attemptId = await studio.send(bea, 40, id);
  await measureAttempt(house, attemptId);
  const [row] = await house.db
    .select()
    .from(attempts)
    .innerJoin(handIns, eq(attempts.handInId, handIns.id))
    .where(eq(attempts.id, attemptId));
  expect(row).toMatchObject({ attempts: { state: 'measured', number: 1 }, hand_ins: { state: 'waiting' } });
  const table = await tableOf(house, teacher, row?.hand_ins.id ?? '');
  expect(table.attempts[0]?.measured === null).toBe(!isMeasured(kind, { referenceId: null, setUpId: null }));
  await decide(house, teacher, attemptId, 'pass');
  expect((await myExercise(house, bea, id)).state).toBe('passed');
});

test('a revision changes what comes, never what was handed in', async () => {
  const { house, teacher, bea, exerciseId } = studio;
  const before = await studio.send(bea, 10);
  await reviseExercise(house, teacher, exerciseId, given(defaultTerms('scale')));
  expect(await stored(exerciseId)).toMatchObject({ revision: 2, terms: { steps: 9 } });
  const after = await studio.send(bea, 20);
  const steps = async (id: string) => (await house.db.select().from(attempts).where(eq(attempts.id, id)))[0]?.terms;
  expect(await steps(before)).toMatchObject({ steps: 5 });
  expect(await steps(after)).toMatchObject({ steps: 9 });
  await expect(reviseExercise(house, teacher, exerciseId, given(defaultTerms('notan')))).rejects.toThrow(
    'keeps its kind',
  );
});

test('the same exercise can be set again', async () => {
  const { house, teacher, classId, exerciseId } = studio;
  const id = await duplicateExercise(house, teacher, exerciseId, classId);
  expect(id).not.toBe(exerciseId);
  expect(await stored(id)).toMatchObject({ title: 'Five greys', revision: 1, dueAt: null });
});

test('a class under 16 is set a toxic pigment only with a reason that is kept, and lead white never', async () => {
  const { house, teacher, classId } = studio;
  await changeClass(house, teacher, classId, {
    numbering: 'white-is-one',
    register: 'beginners',
    underSixteen: true,
    school: false,
    currency: 'EUR',
    keepDays: null,
    pieceLineMm: null,
  });
  const terms = defaultTerms('monochrome-painting');
  const withPaint = (paint: 'cadmium-red' | 'lead-white') => ({
    ...terms,
    materials: { ...terms.materials, paints: [paint] },
  });
  await expect(setExercise(house, teacher, classId, given(withPaint('cadmium-red')))).rejects.toThrow('cadmium red');
  const id = await setExercise(
    house,
    teacher,
    classId,
    given(withPaint('cadmium-red'), { overrideReason: 'Adult helpers mix it.' }),
  );
  expect((await stored(id))?.overrideReason).toBe('Adult helpers mix it.');
  await expect(
    setExercise(house, teacher, classId, given(withPaint('lead-white'), { overrideReason: 'I know.' })),
  ).rejects.toThrow('Lead white can’t be set');
});

test('bands that the frame can’t hold are told before anything is kept', async () => {
  const { house, teacher, classId } = studio;
  await expect(
    setExercise(
      house,
      teacher,
      classId,
      given({ ...defaultTerms('bands'), motif: 'stairwell', steps: 15, brushMm: 12 }),
    ),
  ).rejects.toThrow('do not fit here');
});
