/** What goes wrong on a real evening: each gets one clear sentence and a way on, and nothing stored is lost. */
import { expect, type Page, test } from '@playwright/test';
import sharp from 'sharp';
import { inOwnTidewell, type Tidewell } from './evening';
import { handInAnyway } from './people';
import { greySheet, handInPhotograph } from './photographs';
import { handInAndLose } from './tidewell';

const MEGABYTE = 1024 * 1024;

test.describe.configure({ mode: 'serial' });
let evening: Tidewell;
let page: Page;
let student: Page;
let room: string;
inOwnTidewell('Ivo “the Brush” Tarrant 青木', (opened) => {
  evening = opened;
  ({ teacher: page, student } = opened);
  room = `/my/${opened.exerciseId}`;
});

const told = async (words: RegExp) => student.getByRole('alert').filter({ hasText: words }).first().waitFor();
const sending: readonly (readonly [string, () => Promise<Buffer>, RegExp, string?, string?])[] = [
  ['a file that is no picture', () => Promise.resolve(Buffer.from('Dear Hesper')), /not a picture/],
  [
    'a drawing',
    () => Promise.resolve(Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>')),
    /SVG/,
    'sheet.svg',
    'image/svg+xml',
  ],
  [
    'half a photograph',
    async () =>
      (
        await sharp({
          create: {
            width: 900,
            height: 900,
            channels: 3,
            background: '#777',
            noise: { type: 'gaussian', mean: 120, sigma: 40 },
          },
        })
          .jpeg()
          .toBuffer()
      ).subarray(0, 40_000),
    /damaged|not complete/,
  ],
  ['a file over 40 MB', () => Promise.resolve(Buffer.alloc(41 * MEGABYTE)), /larger than 40 MB/],
];
for (const [what, make, words, name, type] of sending)
  test(`${what} is told in one sentence`, async () => {
    await student.goto(room);
    await handInAnyway(student, await make(), name, type);
    await told(words);
  });
test('a picture without a sheet is refused with what to do, and sent on with a word all the same', async () => {
  await student.goto(room);
  await handInAnyway(student, await greySheet('#bbb'));
  await student.getByText('This picture will not do yet.').waitFor();
  await student.getByText(/No worksheet was found/).waitFor();
  await student.getByText('Look at it anyway').click();
  await student.getByLabel('A word to your teacher').fill('My printer is broken, I drew the cells by hand.');
  await student.getByRole('button', { name: 'Send it on' }).click();
  await student.getByText(/It went to your teacher/).waitFor();
  await page.goto('/');
  await page.getByRole('link', { name: /sent on/ }).click();
  await page.getByText('My printer is broken').waitFor();
  await page.getByRole('button', { name: /Once more/ }).waitFor();
});

test('the same picture twice is one attempt', async () => {
  await student.goto(room);
  await handInAnyway(student, await greySheet('#bbb'));
  await student.getByText(/It went to your teacher/).waitFor();
});

test('with the disk nearly full nothing is taken in, and what is there stays readable', async () => {
  await evening.killAndServe({ FAIR_GREY_MIN_FREE: String(2 ** 50) });
  await student.goto(room);
  await handInAnyway(student, await greySheet('#aaa'));
  await told(/too little room/);
  await student.getByText(/It went to your teacher/).waitFor();
  await evening.killAndServe();
});

test('a picture that can’t be measured stands before its teacher, and is once what was wrong is mended', async () => {
  let putBack = () => {};
  await evening.killAndServe({}, async () => {
    const sheet = await handInPhotograph(evening.exerciseId, 'fine', 58);
    putBack = await handInAndLose(evening.folder, evening.exerciseId, sheet);
  });
  await expect
    .poll(async () => {
      await page.goto('/');
      return page.getByRole('heading', { name: 'One picture could not be measured' }).count();
    })
    .toBe(1);
  await page.getByText(/is missing from the studio’s store/).waitFor();
  putBack();
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByRole('heading', { name: /could not be measured/ })).toHaveCount(0);
  await student.goto(room);
  await student.getByText('This picture will do.').waitFor();
});

test('what is not there, or not theirs, answers 404', async () => {
  for (const [who, where] of [
    [page, '/table/forged'],
    [page, '/plan/forged'],
    [student, '/my/forged'],
    [student, '/picture/forged/preview'],
  ] as const) {
    expect((await who.goto(where))?.status(), where).toBe(404);
  }
});

test('five wrong codes close the door for a minute, right ones never do', async () => {
  const stranger = await evening.newPhone();
  const attempt = async () => {
    await stranger.goto('/sign-in');
    await stranger.getByLabel('Class code').fill('NOBODY');
    await stranger.getByLabel('Your own code').fill('WRONGONE');
    await stranger.getByRole('button', { name: 'Come in' }).click();
  };
  for (let i = 0; i < 5; i++) {
    await attempt();
    await stranger.getByText(/do not go together/).waitFor();
  }
  await attempt();
  await stranger.getByText(/wait a minute/).waitFor();
  await stranger.close();
});

test('a student’s data come out, and deleting the student is for good', async () => {
  await page.goto('/ledger');
  await page.getByRole('link', { name: /Tidewell/ }).click();
  const row = page.getByRole('row').filter({ hasText: 'Ivo' });
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    row.getByRole('link', { name: 'Take out' }).click(),
  ]);
  expect(download.suggestedFilename()).toMatch(/\.zip$/);
  await row.getByRole('button', { name: 'Delete' }).click();
  await page
    .getByRole('alertdialog')
    .getByRole('button', { name: /Delete/ })
    .click();
  await row.waitFor({ state: 'detached' });
  await student.goto(room);
  await expect(student).toHaveURL(/\/sign-in/);
});
