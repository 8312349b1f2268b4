/** An evening with a class of thirty: from the dropped pile to “send all”, by keyboard alone. */
import { defaultTerms } from '@/core/kinds/table';
import { addStudent, createClass } from '@/studio/class/people';
import { setExercise } from '@/studio/plan/exercises';
import { expect, type Page, test } from '@playwright/test';
import { inNewStudioMadeBy } from './evening';
import { awake, teacherComesIn } from './people';
import { notanPhotograph, pilePhotograph, stillLife, valuesPhotograph } from './photographs';
import { atNight, HESPER } from './tidewell';
import { zipOf } from './zip-of';

const SCALES = 14;
const TONES = 8;
const PAINTINGS = 8;
const CLASS = SCALES + TONES + PAINTINGS;

test.describe.configure({ mode: 'serial' });
let page: Page;
let classId = '';
let scaleId = '';
let students: string[] = [];

/** A teacher with a class of thirty, and nine greys set for it. */
const makeClassOfThirty = (folder: string) =>
  atNight(folder, async (house) => {
    const { name, email, password } = HESPER;
    const teacher = { role: 'teacher' as const, userId: await house.auth.createTeacher(name, email, password), name };
    classId = await createClass(house, teacher, 'Tidewell Evening Studio', 'white-is-one');
    students = [];
    for (let k = 1; k <= CLASS; k++)
      students.push((await addStudent(house, teacher, classId, `Student ${String(k).padStart(2, '0')}`)).id);
    const terms = defaultTerms('scale');
    scaleId = await setExercise(house, teacher, classId, { title: 'Nine greys', note: '', dueAt: null, terms });
  });

inNewStudioMadeBy(makeClassOfThirty, async ({ teacher, killAndServe }) => {
  page = teacher;
  kill = killAndServe;
  await teacherComesIn(page, HESPER.email);
});
let kill: (settings?: Record<string, string>) => Promise<void>;

/** Sets an exercise that is painted from the picture; returns its id. */
async function setFromPicture(kind: 'notan' | 'monochrome painting'): Promise<string> {
  await page.goto('/plan/new');
  await page.getByRole('button', { name: kind }).click();
  await page.getByLabel('Painted from').selectOption({ label: 'Jug, eggs and a book' });
  await page.getByRole('button', { name: 'Set it' }).click();
  await page.waitForURL(/\/plan\/(?!new)\w+/);
  return page.url().split('/').pop() ?? '';
}

test('the pile is dropped, and every picture finds its student', async () => {
  const picture = await stillLife();
  await page.goto('/references');
  await awake(page.getByLabel('What it is called'));
  const buffer = picture;
  await page.getByLabel('Picture', { exact: true }).setInputFiles({ name: 'l.png', mimeType: 'image/png', buffer });
  await page.getByLabel('What it is called').fill('Jug, eggs and a book');
  await page.getByLabel('Where it is from').fill('drawn for this studio');
  await page.getByLabel('Who may use it').fill('anybody');
  await page.getByRole('button', { name: 'Bring it in' }).click();
  await page.waitForURL(/\/references\/\w+/);
  const notanId = await setFromPicture('notan');
  const paintingId = await setFromPicture('monochrome painting');
  const tones = await (await page.request.get(`/reference-sheet/${notanId}?as=tones`)).body();
  const pile: [string, Buffer][] = [];
  for (const [k, student] of students.entries()) {
    const seed = 3000 + k;
    const photograph =
      k < SCALES
        ? await pilePhotograph({ exercise: scaleId, student }, 'studio', seed)
        : k < SCALES + TONES
          ? await notanPhotograph(notanId, tones, seed, student)
          : await valuesPhotograph(paintingId, picture, seed, { student, book: k % 2 === 0 ? 16 : 24 });
    pile.push([`evening/${k + 1}.jpg`, photograph]);
  }
  await page.goto(`/rack/${classId}`);
  const drop = page.getByLabel('Photographs of a pile, or a ZIP of them');
  await awake(drop);
  await drop.setInputFiles({ name: 'evening.zip', mimeType: 'application/zip', buffer: await zipOf(pile) });
  await expect(page.getByRole('list', { name: 'What became of each picture' }).getByRole('listitem')).toHaveCount(
    CLASS,
  );
  await expect
    .poll(
      async () => {
        await page.goto('/');
        return page.getByRole('heading', { level: 1 }).innerText();
      },
      { timeout: 300_000, intervals: [2000] },
    )
    .toBe(`${CLASS} hand-ins wait for you`);
});

/** Keys of each hand-in. */
const keys: number[] = [];

/** Decides the hand-in that lies on the Table; where a nearly equal one was judged otherwise, once more. */
async function decideByKey(key: 'p' | 'g'): Promise<void> {
  const before = page.url();
  const gone = page.waitForURL((url) => String(url) !== before).then(() => 1);
  await page.keyboard.press(key);
  const told = page.getByRole('alert').filter({ hasText: 'decide once more' });
  const pressed = await Promise.race([gone, told.waitFor().then(() => 2)]);
  if (pressed === 2) await page.keyboard.press(key);
  await gone;
  keys.push(pressed);
}

const sittingWords = () => page.getByText(/decided, \d+ waits?/);

test('half of them are decided by one key each, and every decision is held', async () => {
  await awake(page.getByRole('link', { name: /Begin with/ }));
  await page.keyboard.press('b');
  await page.waitForURL(/\/table\//);
  for (let k = 0; k < CLASS / 2; k++) {
    await page.getByText(new RegExp(`${k} decided`)).waitFor();
    await decideByKey(k % 3 === 2 ? 'g' : 'p');
  }
  await sittingWords().filter({ hasText: '15 decided, 15 wait, less than a minute' }).waitFor();
});

test('what was done last is taken back from wherever one is, and decided anew', async () => {
  await page.getByRole('button', { name: /Take back “pass”|Take back “once more”/ }).waitFor();
  const there = page.url();
  await page.keyboard.press('u');
  await page.waitForURL((url) => String(url) !== there);
  await sittingWords().filter({ hasText: '14 decided, 16 wait' }).waitFor();
  await decideByKey('p');
  keys.pop();
});

test('cut off in the middle, the evening goes on where it was, also on another machine', async ({ browser }) => {
  await sittingWords().filter({ hasText: '15 decided' }).waitFor();
  const there = new URL(page.url()).pathname;
  await kill();
  const elsewhere = await (await browser.newContext({ baseURL: new URL(page.url()).origin })).newPage();
  await teacherComesIn(elsewhere, HESPER.email, /hand-ins wait/);
  await awake(elsewhere.getByRole('link', { name: /Go on with/ }));
  await elsewhere.keyboard.press('b');
  await elsewhere.waitForURL((url) => url.pathname === there);
  await elsewhere.getByText(/15 decided, 15 wait/).waitFor();
  await elsewhere.context().close();
  await page.reload();
});

test('the rest is decided, and all letters go out together', async () => {
  for (let k = CLASS / 2; k < CLASS; k++) {
    await page.getByText(new RegExp(`${k} decided`)).waitFor();
    await decideByKey(k % 3 === 2 ? 'g' : 'p');
  }
  await page.getByRole('heading', { name: `${CLASS} letters are held` }).waitFor();
  await awake(page.getByRole('button', { name: /Send all 30/ }));
  await page.keyboard.press('a');
  await page.getByText(`${CLASS} letters sent.`).waitFor();
  await page.getByRole('heading', { name: 'Nothing waits' }).waitFor();
  const sorted = keys.toSorted((a, b) => a - b);
  const median = sorted[sorted.length >> 1] ?? 0;
  console.log(`Keys per hand-in: median ${median}, most ${sorted.at(-1)}, of ${keys.length} hand-ins.`);
  expect(keys).toHaveLength(CLASS);
  expect(median).toBeLessThanOrEqual(3);
});

test('what the class has in common is shown without names, and with them where they are wanted', async () => {
  await page.goto(`/rack/${classId}/together?exercise=${scaleId}`);
  const shown = page.getByRole('heading', { level: 2 });
  await shown.filter({ hasText: /of 14|All 14/ }).waitFor();
  await expect(page.getByText(/Student \d\d/)).toHaveCount(0);
  await page.getByLabel('With names').check();
  await expect(page.getByText(/Student \d\d/).first()).toBeVisible();
  const pdf = await page.request.get(`/together/${scaleId}`);
  expect(pdf.headers()['content-type']).toBe('application/pdf');
  expect((await pdf.body()).toString('latin1', 0, 4)).toBe('%PDF');
});
