/** A student's data out as a ZIP. */
import {
  addresses,
  attempts,
  critiques,
  dabChecks,
  corrections,
  decisions,
  files,
  findingEdits,
  grades,
  handIns,
  looks,
  marks,
  measurements,
  opinions,
  ownFindings,
  replies,
  studentNotes,
} from '@/data/schema/tables';
import { FileMissing } from '@/data/files/file-store';
import { eq, inArray } from 'drizzle-orm';
import yazl from 'yazl';
import { studentToChange, type Teacher } from '../access/actor';
import type { House } from '../house';
import { writeDown } from '../staff/chronicle';
import { filesOf } from './deleting';

async function allOf(house: House, studentId: string) {
  const ins = await house.db.select().from(handIns).where(eq(handIns.studentId, studentId));
  const ids = ins.map((h) => h.id);
  const tries = ids.length === 0 ? [] : await house.db.select().from(attempts).where(inArray(attempts.handInId, ids));
  return { ins, tries };
}

const looksOf = (house: House, studentId: string) =>
  house.db.select().from(looks).where(eq(looks.studentId, studentId));

/** Everything kept of a student: one JSON document and the photographs as they were stored. */
export async function exportStudent(
  house: House,
  teacher: Teacher,
  studentId: string,
): Promise<{ name: string; stream: NodeJS.ReadableStream }> {
  const own = await studentToChange(house, teacher, studentId);
  await writeDown(house.db, teacher, 'took-out-student', { classId: own.class.id, studentId });
  const { ins, tries } = await allOf(house, studentId);
  const ids = tries.map((t) => t.id);
  const some = ids.length > 0;
  const theirLooks = await looksOf(house, studentId);
  const read = some ? await house.db.select().from(measurements).where(inArray(measurements.attemptId, ids)) : [];
  const shown = some ? await house.db.select().from(corrections).where(inArray(corrections.attemptId, ids)) : [];
  const record = {
    student: { name: own.student.name, number: own.student.number, class: own.class.name },
    handIns: ins,
    attempts: tries,
    measurements: read,
    critiques: some ? await house.db.select().from(critiques).where(inArray(critiques.attemptId, ids)) : [],
    findingEdits: some ? await house.db.select().from(findingEdits).where(inArray(findingEdits.attemptId, ids)) : [],
    ownFindings: some ? await house.db.select().from(ownFindings).where(inArray(ownFindings.attemptId, ids)) : [],
    marks: some ? await house.db.select().from(marks).where(inArray(marks.attemptId, ids)) : [],
    corrections: shown,
    opinions: some ? await house.db.select().from(opinions).where(inArray(opinions.attemptId, ids)) : [],
    replies: some ? await house.db.select().from(replies).where(inArray(replies.attemptId, ids)) : [],
    notes: await house.db.select().from(studentNotes).where(eq(studentNotes.studentId, studentId)),
    grades: some ? await house.db.select().from(grades).where(inArray(grades.attemptId, ids)) : [],
    addresses: await house.db.select().from(addresses).where(eq(addresses.studentId, studentId)),
    dabChecks: await house.db.select().from(dabChecks).where(eq(dabChecks.studentId, studentId)),
    looks: theirLooks,
    decisions: some ? await house.db.select().from(decisions).where(inArray(decisions.attemptId, ids)) : [],
  };
  const zip = new yazl.ZipFile();
  zip.addBuffer(Buffer.from(JSON.stringify(record, null, 2)), 'record.json');
  const photos = tries.map((t) => t.photoHash);
  const stored = some ? await house.db.select().from(files).where(inArray(files.hash, photos)) : [];
  const types = new Map(stored.map((f) => [f.hash, f.type]));
  const kept = new Map<string, string>();
  for (const { photoHash: hash } of tries)
    kept.set(hash, `photographs/${hash.slice(0, 16)}.${(types.get(hash) ?? 'image/jpeg').split('/')[1]}`);
  for (const { pictureHash: hash } of theirLooks) kept.set(hash, `looks/${hash.slice(0, 16)}.jpeg`);
  for (const hash of read.flatMap((m) => filesOf(m.against))) kept.set(hash, `tones/${hash.slice(0, 16)}.png`);
  for (const { pictureHash: hash } of shown) kept.set(hash, `corrected/${hash.slice(0, 16)}.jpeg`);
  const missing: string[] = [];
  for (const [hash, entry] of kept) {
    // A stream that breaks off would leave a ZIP without an end: what is missing is named in it instead.
    const file = await house.files.local(hash).catch((error: unknown) => {
      if (error instanceof FileMissing) return null;
      throw error;
    });
    if (file === null) missing.push(entry);
    else zip.addFile(file, entry);
  }
  if (missing.length > 0)
    zip.addBuffer(Buffer.from(`${new FileMissing().message}\n\n${missing.join('\n')}\n`), 'missing.txt');
  zip.end();
  return { name: `student-${own.student.number}.zip`, stream: zip.outputStream };
}
