/**
 * Letters and announcements as e-mail: files that the teacher opens in their own mail program and sends there. Nothing leaves this
 * machine by itself.
 */
import { letterText } from '@/core/critique/letter-text';
import { newId } from '@/data/schema/ids';
import {
  addresses,
  announcements,
  attempts,
  critiques,
  exercises,
  handIns,
  posted,
  students,
  user,
} from '@/data/schema/tables';
import { type Mail, mailFile } from '@/print/mail';
import { and, asc, desc, eq, isNotNull, isNull } from 'drizzle-orm';
import yazl from 'yazl';
import { z } from 'zod';
import { attemptFor, classToChange, NotFound, refuseAssistant, Refused, type Teacher } from '../access/actor';
import { letterToPrint } from '../critique/letter-to-print';
import type { House } from '../house';
import { writeDown } from '../staff/chronicle';
import { letterTextSchema, nameSchema } from '../words';

async function senderOf(house: House, teacher: Teacher): Promise<Mail['from']> {
  const [row] = await house.db.select({ address: user.email }).from(user).where(eq(user.id, teacher.userId));
  if (!row) throw new NotFound();
  return { name: teacher.name, address: row.address };
}

async function bytesOf(stream: ReadableStream<Uint8Array>): Promise<Buffer> {
  return Buffer.from(await new Response(stream).arrayBuffer());
}

const NO_ADDRESS = 'No address is known for this student: give one on their page in the Ledger.';

async function letterMail(house: House, teacher: Teacher, from: Mail['from'], attemptId: string): Promise<Buffer> {
  const { student, exercise } = await attemptFor(house, teacher, attemptId);
  const [to] = await house.db.select().from(addresses).where(eq(addresses.studentId, student.id));
  if (!to) throw new Refused(NO_ADDRESS);
  const job = await letterToPrint(house, teacher, attemptId, 'a4');
  const [letter] = job.kind === 'letters' ? job.letters : [];
  if (!letter) throw new NotFound();
  const content = await bytesOf(await house.printer.print(job));
  return mailFile({
    ...{ from, to: to.address, subject: `${exercise.title}: ${letter.verdict}`, text: letterText(letter) },
    attachments: [{ filename: 'letter.pdf', content, contentType: 'application/pdf' }],
  });
}

/** A letter that was sent, as a file of e-mail with the letter attached; from then on it counts as taken out. */
export async function takeLetter(house: House, teacher: Teacher, attemptId: string): Promise<Buffer> {
  refuseAssistant(teacher);
  const own = await attemptFor(house, teacher, attemptId);
  const [critique] = await house.db.select().from(critiques).where(eq(critiques.attemptId, attemptId));
  if (!critique?.sentAt) throw new Refused('This letter is not sent yet: decide, and send it first.');
  const mail = await letterMail(house, teacher, await senderOf(house, teacher), attemptId);
  await house.db.insert(posted).values({ attemptId }).onConflictDoNothing();
  await writeDown(house.db, teacher, 'took-out-post', { classId: own.class.id, studentId: own.student.id });
  return mail;
}

/** Letters of a class that were sent and could go out as e-mail: those that were not taken out yet first, the newest first. */
export async function postOf(house: House, teacher: Teacher, classId: string) {
  await classToChange(house, teacher, classId);
  return house.db
    .select({
      ...{ attemptId: attempts.id, student: students.name, title: exercises.title },
      ...{ sentAt: critiques.sentAt, address: addresses.address, takenAt: posted.createdAt },
    })
    .from(critiques)
    .innerJoin(attempts, eq(critiques.attemptId, attempts.id))
    .innerJoin(handIns, eq(attempts.handInId, handIns.id))
    .innerJoin(students, eq(handIns.studentId, students.id))
    .innerJoin(exercises, eq(handIns.exerciseId, exercises.id))
    .innerJoin(addresses, eq(addresses.studentId, students.id))
    .leftJoin(posted, eq(posted.attemptId, attempts.id))
    .where(and(eq(students.classId, classId), isNotNull(critiques.sentAt)))
    .orderBy(desc(isNull(posted.createdAt)), desc(critiques.sentAt), asc(attempts.id))
    .limit(MOST);
}
const MOST = 200;

const asFile = (name: string) => name.replace(/[^\p{L}\p{N} -]/gu, '').trim() || 'letter';

/** A ZIP of files of e-mail, each under its own name. */
async function* zipped(mails: AsyncIterable<{ readonly name: string; readonly mail: Buffer }>): AsyncGenerator<Buffer> {
  const zip = new yazl.ZipFile();
  let n = 0;
  for await (const { name, mail } of mails) zip.addBuffer(mail, `${String(++n).padStart(2, '0')} ${asFile(name)}.eml`);
  zip.end();
  for await (const part of zip.outputStream) yield part as Buffer;
}

/** All letters of a class that were not taken out yet, as a ZIP of files of e-mail. Throws Refused where there are none. */
export async function takeAllLetters(house: House, teacher: Teacher, classId: string): Promise<AsyncGenerator<Buffer>> {
  const waiting = (await postOf(house, teacher, classId)).filter((letter) => letter.takenAt === null);
  if (waiting.length === 0)
    throw new Refused('Nothing waits to go out: letters of students with an address come here when they are sent.');
  async function* mails() {
    for (const { attemptId, student, title } of waiting)
      yield { name: `${student}, ${title}`, mail: await takeLetter(house, teacher, attemptId) };
  }
  return zipped(mails());
}

const announcementSchema = z.object({
  title: nameSchema,
  text: letterTextSchema.refine((s) => s !== '', 'Write what you want to tell them.'),
});

/** Tells a class something: its students find it with their work, and those with an address can be written to. */
export async function announce(house: House, teacher: Teacher, classId: string, given: unknown): Promise<string> {
  await classToChange(house, teacher, classId);
  const { title, text } = announcementSchema.parse(given);
  const id = newId();
  await house.db.insert(announcements).values({ id, classId, title, text, writtenBy: teacher.userId });
  await writeDown(house.db, teacher, 'announced', { classId });
  return id;
}

export async function takeAnnouncementBack(house: House, teacher: Teacher, classId: string, id: string): Promise<void> {
  await classToChange(house, teacher, classId);
  await house.db.delete(announcements).where(and(eq(announcements.id, id), eq(announcements.classId, classId)));
}

/** What a class was told, the newest first. */
export const announcementsOf = ({ db }: Pick<House, 'db'>, classId: string) =>
  db
    .select({ id: announcements.id, title: announcements.title, text: announcements.text, at: announcements.createdAt })
    .from(announcements)
    .where(eq(announcements.classId, classId))
    .orderBy(desc(announcements.createdAt), desc(announcements.id));

/** An announcement as files of e-mail, one for each address, so that nobody learns another's. Throws Refused where there is none. */
export async function announcementMails(
  house: House,
  teacher: Teacher,
  classId: string,
  id: string,
): Promise<AsyncGenerator<Buffer>> {
  await classToChange(house, teacher, classId);
  const found = (await announcementsOf(house, classId)).find((a) => a.id === id);
  if (!found) throw new NotFound();
  const from = await senderOf(house, teacher);
  const to = await house.db
    .select({ address: addresses.address, student: students.name })
    .from(addresses)
    .innerJoin(students, eq(addresses.studentId, students.id))
    .where(eq(students.classId, classId))
    .orderBy(asc(students.number));
  if (to.length === 0) throw new Refused(NO_ADDRESS);
  await writeDown(house.db, teacher, 'took-out-post', { classId });
  async function* mails({ title, text }: { title: string; text: string }) {
    for (const { address, student } of to)
      yield { name: student, mail: await mailFile({ from, to: address, subject: title, text, attachments: [] }) };
  }
  return zipped(mails(found));
}
