/** What goes out by hand: letters as files of e-mail, announcements, calendars by a secret address, and a student's own work. */
import { dueOn } from '@/core/planning/meetings';
import { newId } from '@/data/schema/ids';
import { exercises, feeds } from '@/data/schema/tables';
import { eq } from 'drizzle-orm';
import { buffer } from 'node:stream/consumers';
import type { Readable } from 'node:stream';
import { fromBufferPromise } from 'yauzl';
import type { Student, Teacher } from '../access/actor';
import { portfolioZip } from '../class/portfolio';
import { setWord } from '../critique/critiquing';
import { decide } from '../critique/deciding';
import { measureAttempt } from '../hand-in/measuring';
import { allow } from '../plan/allowances';
import { setMeetings } from '../plan/timetables';
import { eachInNewStudio, type TestStudio } from '../test-studio';
import { myWork } from '../views/my-work';
import { setAddress } from './addresses';
import { calendarBy, closeCalendar, hasCalendar, openCalendar } from './calendars';
import { announce, announcementMails, announcementsOf, postOf, takeAllLetters, takeLetter } from './mailing';

let studio: TestStudio;
eachInNewStudio((fresh) => (studio = fresh));

async function givenBack(student: Student, shade: number, word: string): Promise<string> {
  const { house, teacher } = studio;
  const id = await studio.send(student, shade);
  await measureAttempt(house, id);
  await setWord(house, teacher, id, word, 0);
  await decide(house, teacher, id, 'again');
  return id;
}

async function entriesOf(zip: Buffer): Promise<Map<string, Buffer>> {
  const found = new Map<string, Buffer>();
  const opened = await fromBufferPromise(zip);
  for await (const entry of opened.eachEntry())
    found.set(entry.fileName, await buffer(await opened.openReadStreamPromise(entry)));
  return found;
}
const collected = async (parts: AsyncIterable<Buffer>) => {
  const all: Buffer[] = [];
  for await (const part of parts) all.push(part);
  return entriesOf(Buffer.concat(all));
};
/** What an .eml file says in plain words, however it is written. */
const plain = (mail: Buffer) =>
  mail
    .toString('utf8')
    .replace(/=\r\n/g, '')
    .replace(/(=[0-9A-F]{2})+/g, (code) => decodeURIComponent(code.replaceAll('=', '%')));

test('a letter goes out as a file of e-mail with itself attached, to the address that the teacher gave, and counts as taken', async () => {
  const { house, teacher, classId, bea, ruta } = studio;
  const id = await givenBack(bea, 51, 'Stir it longer, Bea.');
  await givenBack(ruta, 52, 'Ruta has no address.');
  await expect(takeLetter(house, teacher, id)).rejects.toThrow('No address is known');
  await expect(takeAllLetters(house, teacher, classId)).rejects.toThrow('Nothing waits');
  await expect(setAddress(house, teacher, bea.studentId, 'no address')).rejects.toThrow('e-mail address');
  await setAddress(house, teacher, bea.studentId, 'bea@harbour.example');
  expect(await postOf(house, teacher, classId)).toMatchObject([{ student: 'Bea Lindqvarn', takenAt: null }]);

  const mails = await collected(await takeAllLetters(house, teacher, classId));
  expect([...mails.keys()]).toEqual(['01 Bea Lindqvarn Five greys.eml']);
  const mail = plain([...mails.values()][0] ?? Buffer.of());
  for (const part of [
    'To: bea@harbour.example',
    'X-Unsent: 1',
    'Five greys',
    'Stir it longer, Bea.',
    'application/pdf',
  ])
    expect(mail).toContain(part);
  expect(mail).toContain(`<${studio.codes.email.toLowerCase()}>`);
  expect(mail).not.toContain('Ruta');
  expect((await postOf(house, teacher, classId))[0]?.takenAt).toBeInstanceOf(Date);
  await expect(takeAllLetters(house, teacher, classId)).rejects.toThrow('Nothing waits');
  // Without an address again, nothing is there to be taken.
  await setAddress(house, teacher, bea.studentId, '');
  expect(await postOf(house, teacher, classId)).toEqual([]);
});

test('a letter that was not sent goes nowhere', async () => {
  const { house, teacher, bea } = studio;
  const id = await studio.send(bea, 53);
  await measureAttempt(house, id);
  await setAddress(house, teacher, bea.studentId, 'bea@harbour.example');
  await expect(takeLetter(house, teacher, id)).rejects.toThrow('not sent yet');
});

test('an announcement stands with the work of its class, and is a file of its own for each address', async () => {
  const { house, teacher, classId, bea, ruta } = studio;
  const id = await announce(house, teacher, classId, { title: 'Thursday', text: 'Bring a rag.\nAnd an apron.' });
  expect((await myWork(house, bea))[0]?.told).toMatchObject([{ title: 'Thursday' }]);
  expect((await myWork(house, bea, new Date(Date.now() + 29 * 86_400_000)))[0]?.told).toEqual([]);
  await expect(announcementMails(house, teacher, classId, id)).rejects.toThrow('No address');
  await setAddress(house, teacher, bea.studentId, 'bea@harbour.example');
  await setAddress(house, teacher, ruta.studentId, 'vane@harbour.example');
  const mails = await collected(await announcementMails(house, teacher, classId, id));
  expect(mails.size).toBe(2);
  for (const mail of mails.values()) expect(plain(mail).match(/@harbour\.example/g)).toHaveLength(1);
  await expect(announce(house, teacher, classId, { title: 'x', text: ' ' })).rejects.toThrow('Write what you want');
  expect(await announcementsOf(house, classId)).toHaveLength(1);
});

test('a calendar opens by its secret alone, tells dates and no names, follows what is allowed, and can be withdrawn', async () => {
  const { house, teacher, classId, bea, exerciseId } = studio;
  await setMeetings(house, teacher, classId, {
    ...{ weekdays: [4], start: '18:30', minutes: 120, from: '2027-03-01', until: '2027-04-30' },
    ...{ timeZone: 'Europe/Lisbon', except: [] },
  });
  const dueAt = dueOn('2027-03-18', 'Europe/Lisbon');
  await house.db.update(exercises).set({ dueAt }).where(eq(exercises.id, exerciseId));
  await allow(house, teacher, exerciseId, bea.studentId, { what: 'until', day: '2027-03-25', word: '' });
  const [whole, own] = [
    { classId, studentId: null },
    { classId, studentId: bea.studentId },
  ];
  const first = await openCalendar(house, teacher, whole);
  const hers = await openCalendar(house, teacher, own);
  const text = await calendarBy(house, first);
  // The clock goes forward on 28 March: the meeting stays at half past six.
  expect(text).toContain('DTSTART:20270325T183000Z');
  expect(text).toContain('DTSTART:20270401T173000Z');
  expect(text).toContain('DTSTART:20270318T200000Z');
  expect(text).not.toMatch(/Bea|Lindqvarn/);
  expect(await calendarBy(house, hers)).not.toContain('DTSTART:20270318T200000Z');
  expect((await calendarBy(house, hers)).match(/photographs due/g)).toHaveLength(1);
  await expect(calendarBy(house, `${first}x`)).rejects.toThrow();
  expect(JSON.stringify(await house.db.select().from(feeds))).not.toContain(first);

  const second = await openCalendar(house, teacher, whole);
  await expect(calendarBy(house, first)).rejects.toThrow();
  expect(await calendarBy(house, second)).toContain('BEGIN:VEVENT');
  await closeCalendar(house, teacher, whole);
  await expect(calendarBy(house, second)).rejects.toThrow();
  expect([await hasCalendar(house, teacher, whole), await hasCalendar(house, teacher, own)]).toEqual([false, true]);
  const stranger: Teacher = { ...teacher, userId: newId() };
  await expect(openCalendar(house, stranger, whole)).rejects.toThrow();
});

test('a class without any dates has a calendar all the same', async () => {
  const { house, teacher, classId } = studio;
  const secret = await openCalendar(house, teacher, { classId, studentId: null });
  expect(await calendarBy(house, secret)).toMatch(/^BEGIN:VCALENDAR\r\n[\s\S]*END:VCALENDAR/);
});

test('a portfolio holds pages, pictures and the letters that were sent, for the student and who teaches them alone', async () => {
  const { house, teacher, bea, ruta } = studio;
  await givenBack(bea, 54, 'The word that was sent.');
  const later = await studio.send(bea, 55);
  await measureAttempt(house, later);
  await setWord(house, teacher, later, 'A draft that nobody sent.', 0);
  for (const actor of [bea, teacher]) {
    const entries = await entriesOf(await buffer((await portfolioZip(house, actor, bea.studentId)) as Readable));
    expect([...entries.keys()].sort()).toEqual([
      '01 Five greys/try 1, letter.txt',
      '01 Five greys/try 1.jpeg',
      '01 Five greys/try 2.jpeg',
      'portfolio.pdf',
    ]);
    expect(entries.get('portfolio.pdf')?.subarray(0, 5).toString()).toBe('%PDF-');
    expect(entries.get('01 Five greys/try 1, letter.txt')?.toString()).toContain('The word that was sent.');
    expect([...entries.values()].some((bytes) => bytes.includes('A draft that nobody sent.'))).toBe(false);
  }
  await expect(portfolioZip(house, ruta, bea.studentId)).rejects.toThrow();
  await expect(portfolioZip(house, { ...teacher, userId: newId() }, bea.studentId)).rejects.toThrow();
});
