/** A student's own work as it can be taken home: pages with try beside try, the pictures, and the letters as they were sent. */
import { letterParts, type SaidItem, VERDICT_WORDS } from '@/core/critique/letter';
import { letterText } from '@/core/critique/letter-text';
import { zoneOf } from '@/core/planning/meetings';
import type { PaperId } from '@/core/sheet/paper';
import { FileMissing } from '@/data/files/file-store';
import { attempts, classes, exercises, handIns, students } from '@/data/schema/tables';
import type { PortfolioOrder, PrintJob } from '@/workers/printing/job';
import { and, asc, eq, inArray } from 'drizzle-orm';
import yazl from 'yazl';
import { type Actor, NotFound, placesOf, studentToChange } from '../access/actor';
import { letterToPrint } from '../critique/letter-to-print';
import type { House } from '../house';
import { type AttemptView, attemptViews } from '../views/attempt';
import { judgedBy } from '../views/said';
import { writeDown } from '../staff/chronicle';

type Try = { readonly view: AttemptView; readonly hash: string | null };

/** Whose work it is, for the student and for who teaches them. Throws NotFound for everybody else. */
async function whose(house: House, actor: Actor, studentId: string) {
  if (actor.role === 'teacher') {
    const own = await studentToChange(house, actor, studentId);
    await writeDown(house.db, actor, 'took-out-student', { classId: own.class.id, studentId });
    return own;
  }
  if (!placesOf(actor).some((p) => p.studentId === studentId)) throw new NotFound();
  const [own] = await house.db
    .select({ student: students, class: classes })
    .from(students)
    .innerJoin(classes, eq(students.classId, classes.id))
    .where(eq(students.id, studentId));
  if (!own) throw new NotFound();
  return own;
}

/** All exercises of a student with the tries that count; of what was not given back only the picture is shown. */
async function workOf(house: House, group: typeof classes.$inferSelect, studentId: string) {
  const work = await house.db
    .select({ handIn: handIns, exercise: exercises })
    .from(handIns)
    .innerJoin(exercises, eq(handIns.exerciseId, exercises.id))
    .where(and(eq(handIns.studentId, studentId), eq(exercises.classId, group.id)))
    .orderBy(asc(exercises.createdAt), asc(exercises.id));
  const ids = work.map((w) => w.handIn.id);
  const rows = await house.db
    .select()
    .from(attempts)
    .where(inArray(attempts.handInId, [...ids, '']))
    .orderBy(asc(attempts.seq));
  const found: { readonly title: string; readonly tries: readonly Try[] }[] = [];
  for (const { handIn, exercise } of work) {
    const own = rows.filter((row) => row.handInId === handIn.id && row.number !== null);
    const views = await attemptViews(house, own, judgedBy({ exercise, class: group, handIn }));
    const tries = views.flatMap((view): Try[] => {
      const row = own.find((r) => r.id === view.id);
      if (!row) return [];
      const isSent = view.critique?.sentAt !== null && view.critique !== null;
      return [{ view, hash: (isSent ? row.stripHash : null) ?? row.previewHash ?? row.photoHash }];
    });
    if (tries.length > 0) found.push({ title: exercise.title, tries });
  }
  return found;
}

const sentence = ({ say, action, original }: SaidItem) =>
  [say ?? original.say, action ?? original.do].filter((part) => part !== null && part !== '').join(' ');

/** What was said of a try, in short; nothing of what was not sent. */
function saidOf({ critique, verdict }: AttemptView): string[] {
  if (!critique?.sentAt) return ['Not given back yet.'];
  const items = critique.items.filter((item) => !item.dropped);
  const { works, first } = letterParts(items, (i) => i.original.kind);
  const parts = [
    verdict ? VERDICT_WORDS[verdict] : '',
    works.map((i) => i.say ?? i.original.say).join(' '),
    first ? sentence(first) : '',
    critique.word,
  ];
  return parts.filter((part) => part !== '');
}

async function fileOf(house: House, hash: string | null): Promise<string | null> {
  if (hash === null) return null;
  return house.files.local(hash).catch((error: unknown) => {
    if (error instanceof FileMissing) return null;
    throw error;
  });
}

const nameOf = ({ view }: Try, timeZone: string): string => {
  const day = view.createdAt.toLocaleDateString('en-GB', { day: 'numeric', month: 'long', timeZone });
  return `Try ${view.number ?? ''}${view.stage ? `, ${view.stage}` : ''}, ${day}`;
};

type Whose = Awaited<ReturnType<typeof whose>>;

async function pages(
  house: House,
  { student, class: group }: Whose,
  work: Awaited<ReturnType<typeof workOf>>,
  paper: PaperId,
): Promise<PrintJob> {
  const zone = zoneOf(group.meetings);
  const ordered: PortfolioOrder['exercises'][number][] = [];
  for (const { title, tries } of work) {
    const shown: PortfolioOrder['exercises'][number]['tries'][number][] = [];
    for (const own of tries)
      shown.push({ name: nameOf(own, zone), words: saidOf(own.view), file: await fileOf(house, own.hash) });
    ordered.push({ title, tries: shown });
  }
  return { kind: 'portfolio', portfolio: { paper, student: student.name, className: group.name, exercises: ordered } };
}

/** The pages alone. */
export const portfolioToPrint = async (
  house: House,
  actor: Actor,
  studentId: string,
  paper: PaperId,
): Promise<PrintJob> => {
  const own = await whose(house, actor, studentId);
  return pages(house, own, await workOf(house, own.class, studentId), paper);
};

const asFile = (name: string) => name.replace(/[^\p{L}\p{N} -]/gu, '').trim() || 'work';

/** Pages, photographs and letters in one ZIP. */
export async function portfolioZip(house: House, actor: Actor, studentId: string): Promise<NodeJS.ReadableStream> {
  const own = await whose(house, actor, studentId);
  const zip = new yazl.ZipFile();
  const work = await workOf(house, own.class, studentId);
  const printed = await house.printer.print(await pages(house, own, work, 'a4'));
  zip.addBuffer(Buffer.from(await new Response(printed).arrayBuffer()), 'portfolio.pdf');
  let n = 0;
  for (const { title, tries } of work) {
    const folder = `${String(++n).padStart(2, '0')} ${asFile(title)}`;
    for (const { view, hash } of tries) {
      const file = await fileOf(house, hash);
      const name = `try ${view.number ?? ''}`;
      if (file !== null) zip.addFile(file, `${folder}/${name}.jpeg`);
      if (!view.critique?.sentAt) continue;
      const job = await letterToPrint(house, actor, view.id, 'a4');
      const [letter] = job.kind === 'letters' ? job.letters : [];
      if (letter) zip.addBuffer(Buffer.from(letterText(letter)), `${folder}/${name}, letter.txt`);
    }
  }
  zip.end();
  return zip.outputStream;
}
