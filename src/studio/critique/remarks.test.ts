/** What a teacher says that no rule says, and whom a letter is written for. */
import { allSaid } from '@/core/critique/all-said';
import type { FindingKind } from '@/core/critique/finding';
import { attemptFor, Refused } from '../access/actor';
import { measureAttempt } from '../hand-in/measuring';
import { myExercise } from '../views/my-work';
import { eachInNewStudio, saidOf, type TestStudio } from '../test-studio';
import { editItem } from './critiquing';
import { decide } from './deciding';
import { speakTo } from './register';
import { importRemarks, keepRemark, remarksCsv, remarksOf, removeRemark, sayOwn } from './remarks';

let studio: TestStudio;
eachInNewStudio((fresh) => (studio = fresh));

async function measured(shade = 10): Promise<string> {
  const id = await studio.send(studio.bea, shade);
  await measureAttempt(studio.house, id);
  return id;
}
const own = (say: string, kind: FindingKind = 'fix', action = '') => ({ kind, say, action });

test('an own remark goes into the letter, is edited as any finding is, and is sent word for word', async () => {
  const { house, teacher, bea, exerciseId } = studio;
  const id = await measured();
  await sayOwn(house, teacher, id, own('Brave to leave the edge open.', 'works'));
  await sayOwn(house, teacher, id, own('Sign it on the back.', 'fix', 'In pencil.'));
  const said = await saidOf(studio, id);
  const mine = said.filter((item) => item.original.code === 'own_word');
  expect(mine.map((item) => item.original.say)).toEqual(['Brave to leave the edge open.', 'Sign it on the back.']);
  const works = said.filter((item) => item.original.kind === 'works');
  expect(works.at(-1)?.original.say).toBe('Brave to leave the edge open.');
  await editItem(house, teacher, id, mine[1]?.original.key ?? '', { say: 'Sign it.' }, null);
  await editItem(house, teacher, id, mine[0]?.original.key ?? '', { dropped: true }, null);
  await decide(house, teacher, id, 'again');
  const seen = await myExercise(house, bea, exerciseId);
  const letter = seen.attempts[0]?.letter?.items ?? [];
  expect(letter).toContainEqual(expect.objectContaining({ kind: 'fix', say: 'Sign it.', action: 'In pencil.' }));
  expect(letter.map((item) => item.say)).not.toContain('Brave to leave the edge open.');
  await expect(sayOwn(house, teacher, id, own('One more thing.'))).rejects.toThrow(Refused);
});

test('twenty thousand characters in any script, with line breaks, are kept as they are', async () => {
  const { house, teacher } = studio;
  const id = await measured();
  const long = `${'שלום 你好 👩‍🎨 naïve\n'.repeat(900)}end`;
  await sayOwn(house, teacher, id, own(long));
  const said = (await saidOf(studio, id)).find((item) => item.original.code === 'own_word');
  expect(said?.original.say).toBe(long.normalize('NFC'));
  await expect(sayOwn(house, teacher, id, own('x'.repeat(20_001)))).rejects.toThrow('20000 characters');
  await expect(sayOwn(house, teacher, id, own('  '))).rejects.toThrow('Say what is seen');
});

test('remarks are found by their key, written over under the same one, and removed', async () => {
  const { house, teacher } = studio;
  await keepRemark(house, teacher, { key: 'edges', ...own('Edges are hard.') });
  await keepRemark(house, teacher, { key: 'edges', ...own('All edges are hard.', 'fix', 'Lose three.') });
  await keepRemark(house, teacher, { key: 'brave', ...own('Brave.', 'works') });
  const kept = await remarksOf(house, teacher);
  expect(kept.map((r) => [r.key, r.say])).toEqual([
    ['brave', 'Brave.'],
    ['edges', 'All edges are hard.'],
  ]);
  await removeRemark(house, teacher, kept[0]?.id ?? '');
  await expect(removeRemark(house, { ...teacher, userId: 'other' }, kept[1]?.id ?? '')).rejects.toThrow();
  expect(await remarksOf(house, teacher)).toHaveLength(1);
  expect(await remarksOf(house, { ...teacher, userId: 'other' })).toEqual([]);
});

test('a file of remarks comes in whole or not at all, and goes out as it came', async () => {
  const { house, teacher } = studio;
  const csv = 'key,kind,say,do\nedges,to mend,Edges are hard.,Lose three.\nbrave,works,Brave.,\n';
  expect(await importRemarks(house, teacher, csv)).toBe(2);
  await expect(importRemarks(house, teacher, `${csv}bad,perhaps,x,y\n`)).rejects.toThrow(/Line 4/);
  await expect(importRemarks(house, teacher, `key,kind,say,do\n${'k'.repeat(90)},works,x,\n`)).rejects.toThrow(
    /Line 2/,
  );
  expect(await remarksOf(house, teacher)).toHaveLength(2);
  expect(await importRemarks(house, teacher, await remarksCsv(house, teacher))).toBe(2);
});

test('a hand-in is written for whom the teacher chooses, and else as in its class', async () => {
  const { house, teacher } = studio;
  const id = await measured();
  const texts = async () => (await saidOf(studio, id)).map((item) => item.original.say);
  const usual = await texts();
  const { handIn } = await attemptFor(house, teacher, id);
  await speakTo(house, teacher, handIn.id, 'children');
  const simple = new Set(allSaid('children').map((s) => s.code));
  expect(await texts()).not.toEqual(usual);
  for (const item of await saidOf(studio, id)) expect(simple.has(item.original.code)).toBe(true);
  await speakTo(house, teacher, handIn.id, null);
  expect(await texts()).toEqual(usual);
  await expect(speakTo(house, teacher, handIn.id, 'judges')).rejects.toThrow();
  await expect(speakTo(house, { ...teacher, userId: 'other' }, handIn.id, 'children')).rejects.toThrow();
});
