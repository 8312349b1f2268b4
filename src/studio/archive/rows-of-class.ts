/** Which rows belong to a class, table by table: what an archive of it holds. docs/archive.md tells the same to whoever reads one. */
import {
  addresses,
  allowances,
  announcements,
  attempts,
  classes,
  corrections,
  critiques,
  dabChecks,
  decisions,
  exercises,
  files,
  findingEdits,
  grades,
  handIns,
  looks,
  marks,
  measurements,
  mixes,
  ownFindings,
  palettes,
  posted,
  readings,
  referencePictures,
  replies,
  setUps,
  studentNotes,
  students,
  tray,
} from '@/data/schema/tables';
import { getTableConfig, type PgTable } from 'drizzle-orm/pg-core';
import { getTableName, type SQL, sql } from 'drizzle-orm';

export interface TableOfClass {
  readonly table: PgTable;
  readonly name: string;
  /** The rows of a class; null of files, which the other rows name. */
  readonly rows: ((classId: string) => SQL) | null;
  /** Columns that stay here: who teaches, and who signs in, is another matter in another studio. */
  readonly without: readonly string[];
}

const exercisesOf = (classId: string) => sql`(select id from ${exercises} where class_id = ${classId})`;
const handInsOf = (classId: string) => sql`(select id from ${handIns} where exercise_id in ${exercisesOf(classId)})`;
const attemptsOf = (classId: string) => sql`(select id from ${attempts} where hand_in_id in ${handInsOf(classId)})`;

const ofStudent = (classId: string) => sql`student_id in (select id from ${students} where class_id = ${classId})`;
const ofClass = (classId: string) => sql`class_id = ${classId}`;
const ofExercise = (classId: string) => sql`exercise_id in ${exercisesOf(classId)}`;
const ofHandIn = (classId: string) => sql`hand_in_id in ${handInsOf(classId)}`;
const ofAttempt = (classId: string) => sql`attempt_id in ${attemptsOf(classId)}`;

const entry = (table: PgTable, rows: TableOfClass['rows'], without: readonly string[] = []): TableOfClass => ({
  ...{ table, name: getTableName(table), rows, without },
});

/** Each after those that it names. What follows from a measurement is made anew from it and not kept twice. */
export const TABLES_OF_CLASS: readonly TableOfClass[] = [
  entry(files, null),
  entry(classes, (id) => sql`id = ${id}`, ['teacher_id']),
  entry(students, ofClass, ['user_id']),
  entry(studentNotes, ofStudent, ['written_by']),
  entry(addresses, ofStudent),
  entry(announcements, ofClass, ['written_by']),
  entry(palettes, ofClass),
  entry(mixes, ofClass),
  entry(referencePictures, (id) => sql`id in (select reference_id from ${exercises} where class_id = ${id})`, [
    'teacher_id',
  ]),
  entry(setUps, (id) => sql`id in (select set_up_id from ${exercises} where class_id = ${id})`, ['teacher_id']),
  entry(exercises, ofClass),
  entry(allowances, ofExercise),
  entry(handIns, ofExercise),
  entry(tray, ofClass),
  entry(attempts, ofHandIn),
  entry(measurements, ofAttempt),
  entry(readings, ofExercise),
  entry(critiques, ofAttempt),
  entry(findingEdits, ofAttempt),
  entry(ownFindings, ofAttempt),
  entry(marks, ofAttempt),
  entry(corrections, ofAttempt),
  entry(replies, ofAttempt),
  entry(decisions, ofHandIn, ['decided_by']),
  entry(grades, ofAttempt, ['given_by']),
  entry(posted, ofAttempt),
  entry(dabChecks, ofExercise),
  entry(looks, ofExercise),
];

/** Columns of a table that name a row of another, by the database's names. */
export const namesIn = (table: PgTable): { readonly column: string; readonly of: string }[] =>
  getTableConfig(table).foreignKeys.flatMap((key) => {
    const { columns, foreignTable } = key.reference();
    return columns.map((column) => ({ column: column.name, of: getTableName(foreignTable) }));
  });

/** All columns of a table, by the database's names. */
export const columnsOf = (table: PgTable): readonly string[] => getTableConfig(table).columns.map((c) => c.name);

/** What a row of that table is named by. */
export const keyOf = (name: string): string => (name === 'files' ? 'hash' : name === 'critiques' ? 'attempt_id' : 'id');
