/** What teachers and students do in many stories. */
import type { ExerciseKind } from '@/core/exercise/terms';
import { kindById } from '@/core/kinds/table';
import type { Locator, Page } from '@playwright/test';
import { HESPER } from './tidewell';

/** The first teacher's way in, on an empty studio. */
export async function openStudio(page: Page): Promise<void> {
  await page.goto('/');
  await page.getByLabel('Your name').fill(HESPER.name);
  await page.getByLabel('E-mail').fill(HESPER.email);
  await page.getByLabel('Password').fill(HESPER.password);
  await page.getByRole('button', { name: 'Open the studio' }).click();
  await page.getByRole('heading', { name: 'Nothing waits' }).waitFor();
}

export async function teacherComesIn(
  page: Page,
  email: string,
  finds: string | RegExp = 'Nothing waits',
): Promise<void> {
  await page.goto('/sign-in');
  await page.getByLabel('E-mail').fill(email);
  await page.getByLabel('Password').fill(HESPER.password);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.getByRole('heading', { name: finds }).waitFor();
}

export async function studentComesIn(student: Page, codes: { class: string; own: string }): Promise<void> {
  await student.goto('/sign-in');
  await student.getByLabel('Class code').fill(codes.class);
  await student.getByLabel('Your own code').fill(codes.own);
  await student.getByRole('button', { name: 'Come in' }).click();
  await student.waitForURL(/\/my/);
}

export async function makeClass(page: Page): Promise<void> {
  await page.goto('/ledger');
  await page.getByLabel('Name of the class').fill('Tidewell Evening Studio');
  await page.getByRole('button', { name: 'Make the class' }).click();
  await page.getByText('class code').waitFor();
}

/** Sets an exercise of a kind as it is usual; returns its id. */
export async function setKind(teacher: Page, kind: ExerciseKind): Promise<string> {
  await teacher.goto('/plan/new');
  await teacher.getByRole('button', { name: kindById(kind).name, exact: true }).click();
  await teacher.getByRole('button', { name: 'Set it' }).click();
  await teacher.getByRole('link', { name: 'Print a sheet for each student' }).waitFor();
  return teacher.url().split('/').at(-1) ?? '';
}

/** Sets nine greys; returns the exercise's id. */
export const setScale = (teacher: Page): Promise<string> => setKind(teacher, 'scale');

/** Sets an oil painting in stages, with its timetable. */
export async function setStagedOil(teacher: Page): Promise<void> {
  await teacher.goto('/plan/new');
  await teacher.getByRole('button', { name: 'monochrome painting' }).click();
  await teacher.getByRole('combobox', { name: /^Paint(?!ed)/ }).selectOption('oil');
  await teacher.getByRole('combobox', { name: /^Way/ }).selectOption('staged');
  await teacher.getByRole('button', { name: 'Set it' }).click();
  await teacher.getByRole('heading', { name: 'Timetable' }).waitFor();
}

/** Enrols a student through the Ledger and signs them in on a page of their own. */
export async function enrol(teacher: Page, student: Page, name: string): Promise<void> {
  await teacher.goto('/ledger');
  await teacher.getByRole('link', { name: /Tidewell/ }).click();
  const classCode = (await teacher.locator('strong').first().textContent()) ?? '';
  await teacher.getByLabel('Display name').fill(name);
  await teacher.getByRole('button', { name: 'Add' }).click();
  const slip = (await teacher.getByText(new RegExp(`${name}: `)).textContent()) ?? '';
  await studentComesIn(student, { class: classCode, own: slip.split(': ')[1] ?? '' });
}

/** Sends a picture that the look before sending would hold back. */
export async function handInAnyway(student: Page, buffer: Buffer, name?: string, mimeType?: string): Promise<void> {
  await handIn(student, buffer, name, mimeType);
  const anyway = student.getByRole('button', { name: 'Send it all the same' });
  // What is no picture at all is not held back: the studio says what it is.
  await anyway
    .or(student.getByRole('alert').filter({ hasText: /\S/ }))
    .first()
    .waitFor();
  if (await anyway.isVisible()) await anyway.click();
}

export const handIn = (student: Page, buffer: Buffer, name = 'sheet.jpg', mimeType = 'image/jpeg') =>
  student.getByLabel('Photograph of the sheet').setInputFiles({ name, mimeType, buffer });

/** Waits until somebody listens at a field: on a busy machine a page is seen before it is awake. */
export async function awake(field: Locator): Promise<void> {
  await field.waitFor({ state: 'attached' });
  for (let i = 0; !(await field.evaluate((el) => Object.keys(el).some((key) => key.startsWith('__reactProps')))); i++) {
    if (i === 600) throw new Error('The page did not wake up.');
    await field.page().waitForTimeout(100);
  }
}

/** Opens a page whose scripts stay on their way until what is returned is called. */
export async function openAsleep(page: Page, url: string): Promise<() => Promise<void>> {
  let wake = () => {};
  const woken = new Promise<void>((resolve) => {
    wake = resolve;
  });
  await page.route('**/_next/static/**/*.js', async (route) => {
    await woken;
    await route.continue();
  });
  await page.goto(url, { waitUntil: 'commit' });
  return async () => {
    wake();
    await page.unrouteAll({ behavior: 'wait' });
  };
}
