/** What goes wrong on a real evening: each gets one clear sentence and a way on, and nothing stored is lost. */
import type { Page } from 'playwright';
import sharp from 'sharp';
import { BASE, enrol, handInAnyway, type Harness } from './harness';

const MEGABYTE = 1024 * 1024;

export async function badInput(
  { check, killAndServe }: Harness,
  page: Page,
  student: Page,
  exerciseId: string,
): Promise<void> {
  const room = `${BASE}/my/${exerciseId}`;
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
  await check('a second student comes in', () => enrol(page, student, 'Ivo “the Brush” Tarrant 青木'));
  for (const [what, make, words, name, type] of sending)
    await check(`${what} is told in one sentence`, async () => {
      await student.goto(room);
      await handInAnyway(student, await make(), name, type);
      await told(words);
    });
  await check(
    'a picture without a sheet is refused with what to do, and sent on with a word all the same',
    async () => {
      await student.goto(room);
      await handInAnyway(
        student,
        await sharp({ create: { width: 1200, height: 900, channels: 3, background: '#bbb' } })
          .jpeg()
          .toBuffer(),
      );
      await student.getByText('This picture will not do yet.').waitFor();
      await student.getByText(/No worksheet was found/).waitFor();
      await student.getByText('Look at it anyway').click();
      await student.getByLabel('A word to your teacher').fill('My printer is broken, I drew the cells by hand.');
      await student.getByRole('button', { name: 'Send it on' }).click();
      await student.getByText(/It went to your teacher/).waitFor();
      await page.goto(BASE);
      await page.getByRole('link', { name: /sent on/ }).click();
      await page.getByText('My printer is broken').waitFor();
      await page.getByRole('button', { name: /Once more/ }).waitFor();
    },
  );
  await check('the same picture twice is one attempt', async () => {
    await student.goto(room);
    await handInAnyway(
      student,
      await sharp({ create: { width: 1200, height: 900, channels: 3, background: '#bbb' } })
        .jpeg()
        .toBuffer(),
    );
    await student.getByText(/It went to your teacher/).waitFor();
  });
  await check('with the disk nearly full nothing is taken in, and what is there stays readable', async () => {
    await killAndServe({ FAIR_GREY_MIN_FREE: String(2 ** 50) });
    await student.goto(room);
    await handInAnyway(
      student,
      await sharp({ create: { width: 1300, height: 900, channels: 3, background: '#aaa' } })
        .jpeg()
        .toBuffer(),
    );
    await told(/too little room/);
    await student.getByText(/It went to your teacher/).waitFor();
    await killAndServe();
  });
  await check('what is not there, or not theirs, answers 404', async () => {
    for (const [who, where] of [
      [page, '/table/forged'],
      [page, '/plan/forged'],
      [student, '/my/forged'],
      [student, '/picture/forged/preview'],
    ] as const) {
      const status = (await who.goto(`${BASE}${where}`))?.status();
      if (status !== 404) throw new Error(`${where}: expected 404, got ${status}.`);
    }
  });
  await check('five wrong codes close the door for a minute, right ones never do', async () => {
    const stranger = await student.context().browser()?.newPage();
    if (!stranger) throw new Error('There is no browser.');
    const attempt = async () => {
      await stranger.goto(`${BASE}/sign-in`);
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
  await check('a student’s data come out, and deleting the student is for good', async () => {
    await page.goto(`${BASE}/ledger`);
    await page.getByRole('link', { name: /Tidewell/ }).click();
    const row = page.getByRole('row').filter({ hasText: 'Ivo' });
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      row.getByRole('link', { name: 'Take out' }).click(),
    ]);
    if (!download.suggestedFilename().endsWith('.zip')) throw new Error(`Got ${download.suggestedFilename()}.`);
    await row.getByRole('button', { name: 'Delete' }).click();
    await page
      .getByRole('alertdialog')
      .getByRole('button', { name: /Delete/ })
      .click();
    await row.waitFor({ state: 'detached' });
    await student.goto(room);
    if (!student.url().includes('/sign-in')) throw new Error('The deleted student is still signed in.');
  });
}
