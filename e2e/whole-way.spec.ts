/** The whole way of a hand-in, from the first teacher to the pass, with a kill in the middle. */
import { expect, type Page, test } from '@playwright/test';
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { type Evening, inNewStudio } from './evening';
import { awake, enrol, handIn, makeClass, openStudio, setScale } from './people';
import { handInPhotograph } from './photographs';

test.describe.configure({ mode: 'serial' });
let evening: Evening;
let page: Page;
let student: Page;
let exerciseId: string;
inNewStudio((opened) => {
  evening = opened;
  ({ teacher: page, student } = evening);
});

test('the first teacher opens the studio, and the door closes', async () => {
  await openStudio(page);
  await page.goto('/begin');
  // The page that makes the first teacher is open no more.
  expect(page.url()).not.toMatch(/\/begin$/);
});

test('a teacher makes a class and sets a nine-step scale', async () => {
  await makeClass(page);
  exerciseId = await setScale(page);
});

test('a student is enrolled and comes in with two codes', async () => {
  await enrol(page, student, 'Bea Lindqvarn');
  await student.getByRole('link', { name: /Nine greys/ }).click();
  await student.getByRole('heading', { name: 'What to do' }).waitFor();
});
const openTable = async () => {
  await page.goto('/rack');
  await page.getByRole('link', { name: /Bea Lindqvarn/ }).click();
  await page.getByRole('img', { name: /Value ruler/ }).waitFor();
};
test('a phone photograph on its side is measured, and its stored bytes hold no place', async () => {
  await handIn(student, await handInPhotograph(exerciseId, 'too-close', 51, 12));
  await student.getByText('This picture will do.').waitFor();
  const files = path.join(evening.folder, 'files');
  const stored = readdirSync(files, { recursive: true, withFileTypes: true }).filter((f) => f.isFile());
  expect(stored).not.toEqual([]);
  for (const f of stored) expect(readFileSync(path.join(f.parentPath, f.name)).includes('Practice camera')).toBe(false);
});

test('what is counted tells how long each stage took', async () => {
  const counted = await evening.metrics();
  for (const stage of ['opening the picture', 'finding the sheet', 'reading the steps', 'keeping'])
    expect(counted).toContain(`fair_grey_measure_stage_seconds_count{stage="${stage}"} 1`);
  expect(counted).toContain('fair_grey_measurements_total{state="measured"} 1');
  expect(counted).toContain('fair_grey_queue_jobs 0');
  expect(counted).toMatch(
    /fair_grey_request_seconds_count\{route="\/hand-in\/\[exerciseId\]",method="POST",status="20."\} \d/,
  );
});

test('the rack shows the hand-in as its measured strip, light to dark', async () => {
  await page.goto('/rack');
  const strip = page.getByRole('link', { name: /Bea Lindqvarn/ }).getByRole('img');
  await strip.waitFor();
  const greys = await strip
    .locator('rect')
    .evaluateAll((cells) => cells.map((c) => Number(/\d+/.exec(getComputedStyle(c).fill)?.[0])));
  expect(greys).toHaveLength(9);
  expect(greys[0]).toBeGreaterThan(220);
  expect(greys[8]).toBeLessThan(80);
});

test('the teacher edits a finding and sends it back; the student reads it', async () => {
  await openTable();
  await page.locator('[data-code=too_close] button').first().click();
  // Why it is said opens beside it, and goes along to the next.
  await page.keyboard.press('y');
  await page.getByText('the gap should be').waitFor();
  await page.getByText('Judged by:').waitFor();
  await page.getByRole('button', { name: 'Edit' }).click();
  await page.getByLabel('What is seen').fill('Four and five are twins.');
  await page.getByRole('button', { name: 'Keep these words' }).click();
  await page.getByText('Drafted: ').waitFor();
  await page.getByRole('button', { name: /Once more/ }).click();
  // The letter is held: nothing reaches the student before it is sent.
  await page.getByRole('heading', { name: '1 letter is held' }).waitFor();
  await student.reload();
  await student.getByText('waiting').first().waitFor();
  await expect(student.getByText('Four and five are twins.')).toHaveCount(0);
  await awake(page.getByRole('button', { name: /Send it/ }));
  await page.keyboard.press('a');
  await page.getByText('1 letter sent.').waitFor();
  await student.reload();
  await student.getByText('Four and five are twins.').first().waitFor();
});

test('killed while it measures, the studio takes the measurement up again', async () => {
  // A large one, so that it is the measuring that is cut off, and not the page being told of its end.
  await handIn(student, await handInPhotograph(exerciseId, 'fine', 52, 12));
  await student.getByText('Measuring your picture').waitFor();
  await evening.killAndServe();
  // The page that waits hears of it by itself.
  await student.getByText('This picture will do.').waitFor();
});

test('pass, sent at once as it is wished for, and all is still there', async () => {
  await page.goto('/');
  await awake(page.getByLabel('Hold letters until I send them'));
  await page.getByLabel('Hold letters until I send them').uncheck();
  await openTable();
  await page.keyboard.press('p');
  await page.getByRole('button', { name: /Withdraw/ }).waitFor();
  await student.reload();
  await student.getByText('Passed.').waitFor();
  await student.getByText('Four and five are twins.').first().waitFor();
});

test('every request was logged with its id and its route, and nobody by name or code', async () => {
  const text = evening.logged().join('\n');
  const requests = evening
    .logged()
    .map((line) => JSON.parse(line) as { msg: string; request?: string; route?: string })
    .filter(({ msg }) => msg === 'request');
  expect(new Set(requests.map(({ request }) => request)).size).toBe(requests.length);
  expect(requests.map(({ route }) => route)).toEqual(expect.arrayContaining(['/hand-in/[exerciseId]', '/rack']));
  expect(requests.filter(({ route }) => route === 'other')).toEqual([]);
  expect(text).not.toMatch(/Bea|Lindqvarn|Hesper|@tidewell|Four and five/);
});
