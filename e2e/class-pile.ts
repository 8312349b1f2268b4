/** A class that hands in at one evening: scales, paintings in two tones and in all values, dropped as one pile. */
import { defaultTerms } from '@/core/kinds/table';
import type { Teacher } from '@/studio/access/actor';
import { addStudent, createClass } from '@/studio/class/people';
import { setExercise } from '@/studio/plan/exercises';
import { expect, type Page } from '@playwright/test';
import { awake } from './people';
import { notanPhotograph, pilePhotograph, stillLife, valuesPhotograph } from './photographs';
import { atNight, HESPER } from './tidewell';
import { zipOf } from './zip-of';

/** How many hand in what. */
export interface Parts {
  readonly scales: number;
  readonly tones: number;
  readonly paintings: number;
}

export interface ClassOfMany {
  readonly classId: string;
  readonly scaleId: string;
  readonly students: readonly string[];
}

/** A teacher with a class, and nine greys set for it, in a studio that is not served yet. */
export const makeClassOf = (folder: string, size: number): Promise<ClassOfMany> =>
  atNight(folder, async (house) => {
    const { name, email, password } = HESPER;
    const userId = await house.auth.createTeacher(name, email, password);
    const teacher: Teacher = { role: 'teacher', standing: 'teacher', userId, name };
    const classId = await createClass(house, teacher, 'Tidewell Evening Studio', 'white-is-one');
    const students: string[] = [];
    for (let k = 1; k <= size; k++)
      students.push((await addStudent(house, teacher, classId, `Student ${String(k).padStart(2, '0')}`)).id);
    const terms = defaultTerms('scale');
    const scaleId = await setExercise(house, teacher, classId, { title: 'Nine greys', note: '', dueAt: null, terms });
    return { classId, scaleId, students };
  });

const PICTURE = 'Jug, eggs and a book';

async function bringPictureIn(page: Page, buffer: Buffer): Promise<void> {
  await page.goto('/references');
  await awake(page.getByLabel('What it is called'));
  await page.getByLabel('Picture', { exact: true }).setInputFiles({ name: 'l.png', mimeType: 'image/png', buffer });
  await page.getByLabel('What it is called').fill(PICTURE);
  await page.getByLabel('Where it is from').fill('drawn for this studio');
  await page.getByLabel('Who may use it').fill('anybody');
  await page.getByRole('button', { name: 'Bring it in' }).click();
  await page.waitForURL(/\/references\/\w+/);
}

/** Sets an exercise that is painted from the picture; returns its id. */
async function setFromPicture(page: Page, kind: 'notan' | 'monochrome painting'): Promise<string> {
  await page.goto('/plan/new');
  await page.getByRole('button', { name: kind }).click();
  await page.getByLabel('Painted from').selectOption({ label: PICTURE });
  await page.getByRole('button', { name: 'Set it' }).click();
  await page.waitForURL(/\/plan\/(?!new)\w+/);
  return page.url().split('/').pop() ?? '';
}

/** Long enough for a busy machine to measure a whole class. */
const PATIENCE_MS = 300_000;

/** Paints and photographs what a class hands in, drops it as one pile, and waits until all of it was measured. */
export async function dropPile(
  page: Page,
  { classId, scaleId, students }: ClassOfMany,
  { scales, tones, paintings }: Parts,
  seed: number,
): Promise<void> {
  const picture = await stillLife();
  await bringPictureIn(page, picture);
  const notanId = await setFromPicture(page, 'notan');
  const paintingId = await setFromPicture(page, 'monochrome painting');
  const twoTones = await (await page.request.get(`/reference-sheet/${notanId}?as=tones`)).body();
  const pile: [string, Buffer][] = [];
  const all = scales + tones + paintings;
  for (const [k, student] of students.slice(0, all).entries()) {
    const own = seed + k;
    const photograph =
      k < scales
        ? await pilePhotograph({ exercise: scaleId, student }, 'studio', own)
        : k < scales + tones
          ? await notanPhotograph(notanId, twoTones, own, student)
          : await valuesPhotograph(paintingId, picture, own, { student, book: k % 2 === 0 ? 16 : 24 });
    pile.push([`evening/${k + 1}.jpg`, photograph]);
  }
  await page.goto(`/rack/${classId}`);
  const drop = page.getByLabel('Photographs of a pile, or a ZIP of them');
  await awake(drop);
  await drop.setInputFiles({ name: 'evening.zip', mimeType: 'application/zip', buffer: await zipOf(pile) });
  await expect(page.getByRole('list', { name: 'What became of each picture' }).getByRole('listitem')).toHaveCount(all, {
    timeout: PATIENCE_MS,
  });
  const waits = async () => {
    await page.goto('/');
    return page.getByRole('heading', { level: 1 }).innerText();
  };
  await expect.poll(waits, { timeout: PATIENCE_MS, intervals: [2000] }).toBe(`${all} hand-ins wait for you`);
}
