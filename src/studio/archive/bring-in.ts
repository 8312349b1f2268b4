/** A class from its archive, beside all that is here. */
import type { Transaction } from '@/data/database/engine';
import { newClassCode, newId } from '@/data/schema/ids';
import { classes, referencePictures, setUps, user } from '@/data/schema/tables';
import { eq, inArray, sql } from 'drizzle-orm';
import type { PgTable } from 'drizzle-orm/pg-core';
import { readFile, rm } from 'node:fs/promises';
import { ZodError } from 'zod';
import { refuseAssistant, Refused, type Teacher } from '../access/actor';
import { makeFigures } from '../hand-in/figures';
import type { House } from '../house';
import { type Archive, type ArchiveRow, damaged, readArchive } from './archive-json';
import { openArchive } from './open-zip';
import { TABLES_OF_CLASS } from './rows-of-class';

type Ids = readonly string[];
const idsIn = (archive: Archive, table: string): Ids => (archive.tables[table] ?? []).map((row) => String(row.id));

/** What a row gets here that it did not bring. */
function hereOf(name: string, row: ArchiveRow, teacher: Teacher, userOf: ReadonlyMap<string, string>): ArchiveRow {
  if (name === 'students') return { user_id: userOf.get(String(row.id)) };
  return ['classes', 'reference_pictures', 'set_ups'].includes(name) ? { teacher_id: teacher.userId } : {};
}

async function insertRow(tx: Transaction, table: PgTable, row: ArchiveRow, orKeep: boolean): Promise<void> {
  const asRow = sql`insert into ${table} select * from jsonb_populate_record(null::${table}, ${JSON.stringify(row)}::jsonb)`;
  await tx.execute(orKeep ? sql`${asRow} on conflict do nothing` : asRow);
}

/** Students sign in here once they have new codes: those that they had were the other studio's. */
async function makeUsers(tx: Transaction, archive: Archive): Promise<ReadonlyMap<string, string>> {
  const made = new Map<string, string>();
  for (const { id, name } of archive.tables.students ?? []) {
    const userId = newId();
    await tx
      .insert(user)
      .values({ id: userId, role: 'student', name: String(name), email: `${newId()}@students.invalid` });
    made.set(String(id), userId);
  }
  return made;
}

/** A picture or set-up that is here already is the same one, and stays; it must be the teacher's own. */
async function checkOwners(tx: Transaction, archive: Archive, teacher: Teacher): Promise<void> {
  for (const [table, ids] of [
    [referencePictures, idsIn(archive, 'reference_pictures')],
    [setUps, idsIn(archive, 'set_ups')],
  ] as const) {
    const there = await tx
      .select({ owner: table.teacherId })
      .from(table)
      .where(inArray(table.id, [...ids, '']));
    if (there.some((t) => t.owner !== teacher.userId))
      throw new Refused(
        'A picture that this class paints from belongs to another teacher here: ask them to bring it in.',
      );
  }
}

/** Times go in as they were written, and what counts by itself goes on behind what came. */
async function countOn(tx: Transaction): Promise<void> {
  const counter = sql`pg_get_serial_sequence('attempts', 'seq')`;
  await tx.execute(sql`select setval(${counter}, greatest((select max(seq) from attempts), nextval(${counter})))`);
}

/** Reads every row back, so that nothing stays that a page could not open, and makes what follows from measurements. */
async function readBack(tx: Transaction, archive: Archive): Promise<void> {
  for (const { table, name } of TABLES_OF_CLASS) {
    if (!('id' in table)) continue;
    const ids = idsIn(archive, name);
    for (let from = 0; from < ids.length; from += 100)
      await tx
        .select()
        .from(table)
        .where(inArray(table.id as typeof classes.id, ids.slice(from, from + 100)));
  }
  for (const id of idsIn(archive, 'attempts')) await makeFigures(tx, id);
}

async function putIn(tx: Transaction, archive: Archive, teacher: Teacher): Promise<string> {
  const [group] = archive.tables.classes ?? [];
  const classId = String(group?.id);
  if ((await tx.$count(classes, eq(classes.id, classId))) > 0)
    throw new Refused('This class is here already. Delete it first if the archive is to stand in its place.');
  await checkOwners(tx, archive, teacher);
  await tx.execute(sql`set local time zone 'UTC'`);
  const userOf = await makeUsers(tx, archive);
  const codeTaken = (await tx.$count(classes, eq(classes.code, String(group?.code)))) > 0;
  for (const { table, name } of TABLES_OF_CLASS)
    for (const row of archive.tables[name] ?? []) {
      const here = hereOf(name, row, teacher, userOf);
      const code = name === 'classes' && codeTaken ? { code: newClassCode() } : {};
      await insertRow(
        tx,
        table,
        { ...row, ...here, ...code },
        ['files', 'reference_pictures', 'set_ups'].includes(name),
      );
    }
  await countOn(tx);
  await readBack(tx, archive);
  return classId;
}

/** What a database or a schema says of rows that are not as they should be. */
const isOfRows = (error: unknown): boolean => {
  for (let e: unknown = error; e instanceof Error; e = e.cause)
    if (e instanceof ZodError || /^(22|23|42)/.test((e as { code?: string }).code ?? '')) return true;
  return false;
};

/**
 * Brings a class in from the ZIP of its archive; returns its id. All of it or nothing.
 *
 * @throws Refused with what to do: where it is damaged or from a newer version, or where the class is here already.
 */
export async function bringClassIn(house: House, teacher: Teacher, file: string): Promise<string> {
  refuseAssistant(teacher);
  const { document, files } = await openArchive(file, house.files.incoming, damaged);
  try {
    const archive = readArchive(document);
    const wanted = (archive.tables.files ?? []).map((row) => String(row.hash));
    if (wanted.some((hash) => !files.has(hash))) throw damaged();
    for (const hash of wanted) await house.files.put(await readFile(files.get(hash) ?? ''));
    return await house.db.transaction((tx) => putIn(tx, archive, teacher));
  } catch (error) {
    if (isOfRows(error)) throw damaged();
    throw error;
  } finally {
    await Promise.all([...files.values()].map((out) => rm(out, { force: true })));
  }
}
