/** Every screen, looked at by an accessibility checker: nothing serious against WCAG 2.2 AA. */
import { expect, type Page, test } from '@playwright/test';
import { faultsOf } from './axe';
import { inTidewell, type Tidewell } from './evening';
import { handIn, setKind } from './people';
import { handInPhotograph } from './photographs';

/** Kinds whose exercises fill the pages, beside the scale that is handed in. */
const KINDS = ['bands', 'notan', 'monochrome-painting'] as const;

let evening: Tidewell;
inTidewell('Bea Lindqvarn', async (opened) => {
  evening = opened;
  const { teacher, student, exerciseId } = opened;
  for (const kind of KINDS) await setKind(teacher, kind);
  await student.goto(`/my/${exerciseId}`);
  await handIn(student, await handInPhotograph(exerciseId, 'too-close', 51));
  await student.getByText('This picture will do.').waitFor();
});

type Way = (page: Page) => Promise<unknown>;

const to =
  (where: string): Way =>
  (page) =>
    page.goto(where);
async function toTable(page: Page) {
  await page.goto('/rack');
  await page
    .getByRole('link', { name: /Bea Lindqvarn/ })
    .last()
    .click();
  await page.waitForURL(/table/);
}
async function toMarks(page: Page) {
  await toTable(page);
  await page.getByRole('button', { name: 'Mark the picture' }).click();
  await page.getByRole('application').waitFor();
}
async function toCorrection(page: Page) {
  await toTable(page);
  await page.getByRole('button', { name: 'Show a correction' }).click();
  await page.getByRole('application').waitFor();
}
async function toRemark(page: Page) {
  await toTable(page);
  await page.getByRole('button', { name: 'A remark of your own' }).click();
  await page.getByRole('dialog').waitFor();
}
async function toLetter(page: Page) {
  await toTable(evening.teacher);
  await evening.teacher.getByRole('button', { name: /Once more/ }).click();
  await evening.teacher.getByRole('button', { name: /Withdraw/ }).waitFor();
  await page.goto(`/my/${evening.exerciseId}`);
  await page.getByText('The numbers behind it').click();
  await page.getByRole('button', { name: 'Answer, or ask one question' }).click();
}
async function toClass(page: Page) {
  await page.goto('/ledger');
  await page.getByRole('link', { name: /Tidewell/ }).click();
  await page.getByRole('heading', { level: 1, name: /Tidewell/ }).waitFor();
}
async function toRecord(page: Page) {
  await toClass(page);
  await page.getByRole('link', { name: 'The record' }).click();
  await page.locator('svg').first().waitFor();
  await page.getByText('As a table').first().click();
}
async function toTogether(page: Page) {
  await page.goto('/rack');
  await page.getByRole('link', { name: 'What they have in common' }).click();
  await page.getByRole('heading', { name: /, together/ }).waitFor();
}
async function toFiles(page: Page) {
  await page.getByRole('link', { name: 'Palette' }).click();
  await page.getByRole('link', { name: 'Bring in a file' }).click();
}
const SCREENS: readonly (readonly [string, 'teacher' | 'student', Way])[] = [
  ['Today', 'teacher', to('/')],
  ['Plan', 'teacher', to('/plan')],
  ['setting an exercise', 'teacher', to('/plan/new')],
  ['an exercise', 'teacher', (page) => page.goto(`/plan/${evening.exerciseId}`)],
  ['the Palette', 'teacher', to('/palette')],
  ['the cupboard', 'teacher', to('/palette/cupboard')],
  ['files of a palette', 'teacher', toFiles],
  ['the Rack', 'teacher', to('/rack')],
  ['the Table', 'teacher', toTable],
  ['the board of marks', 'teacher', toMarks],
  ['the board of corrections', 'teacher', toCorrection],
  ['a remark of one’s own', 'teacher', toRemark],
  ['own remarks', 'teacher', to('/ledger/remarks')],
  ['the Ledger', 'teacher', to('/ledger')],
  ['a class', 'teacher', toClass],
  ['the record', 'teacher', toRecord],
  ['what a class has in common', 'teacher', toTogether],
  ['my work', 'student', to('/my')],
  ['my exercise', 'student', (page) => page.goto(`/my/${evening.exerciseId}`)],
  ['a letter', 'student', toLetter],
];

for (const [name, who, way] of SCREENS)
  test(`${name} can be used by everybody, on a narrow screen too, where nothing is cut off sideways`, async () => {
    const page = evening[who];
    await way(page);
    expect(await faultsOf(page)).toEqual([]);
  });
