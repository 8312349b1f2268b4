/** The document of an archive of a class: what it says of itself, and its rows table by table. */
import { z } from 'zod';
import { Refused } from '../access/actor';
import { columnsOf, keyOf, namesIn, TABLES_OF_CLASS } from './rows-of-class';

/** Raised when a table comes or a row changes its meaning; archives of every version before stay readable. */
export const ARCHIVE_VERSION = 2;
export const ARCHIVE_FORMAT = 'fair-grey-class';

const rowSchema = z.record(z.string(), z.unknown());
export type ArchiveRow = z.infer<typeof rowSchema>;

const NO_ARCHIVE = 'This is no archive of a class. Choose a ZIP that was taken out of a Ledger.';
const archiveSchema = z.object({
  format: z.literal(ARCHIVE_FORMAT, NO_ARCHIVE),
  version: z
    .number(NO_ARCHIVE)
    .int()
    .min(1)
    .max(ARCHIVE_VERSION, 'This archive was made by a newer Fair Grey: bring it in with that one.'),
  tables: z.record(z.string(), z.array(rowSchema)),
});
export type Archive = z.infer<typeof archiveSchema>;

const DAMAGED =
  'This archive is damaged, or was changed by hand. Take the class out once more; nothing was brought in.';

/** Every row a line, so that two archives can be compared as text. */
export function writeArchive({ tables }: Pick<Archive, 'tables'>): string {
  const parts = TABLES_OF_CLASS.map(({ name }) => {
    const rows = (tables[name] ?? []).map((row) => `    ${JSON.stringify(row)}`);
    return `  ${JSON.stringify(name)}: [${rows.length > 0 ? `\n${rows.join(',\n')}\n  ` : ''}]`;
  });
  return `{\n"format": ${JSON.stringify(ARCHIVE_FORMAT)},\n"version": ${ARCHIVE_VERSION},\n"tables": {\n${parts.join(',\n')}\n}\n}\n`;
}

/** Names a row of its own table by its key. */
const nameOf = (table: string, row: ArchiveRow): unknown => row[keyOf(table)];

/** Throws Refused where a row has a column that there is not, or names a row that the archive does not hold. */
function checkRows({ tables }: Archive): void {
  const known = new Set(TABLES_OF_CLASS.map((t) => t.name));
  if (Object.keys(tables).some((name) => !known.has(name))) throw new Refused(DAMAGED);
  const held = new Map([...known].map((name) => [name, new Set((tables[name] ?? []).map((row) => nameOf(name, row)))]));
  for (const { table, name, without } of TABLES_OF_CLASS) {
    const columns = new Set(columnsOf(table).filter((c) => !without.includes(c)));
    const names = namesIn(table).filter(({ column }) => !without.includes(column));
    for (const row of tables[name] ?? []) {
      if (Object.keys(row).some((column) => !columns.has(column))) throw new Refused(DAMAGED);
      for (const { column, of } of names) {
        const named = row[column] ?? null;
        // Nothing reaches out of the archive: what it brings in hangs on nothing that was here before.
        if (named !== null && !held.get(of)?.has(named)) throw new Refused(DAMAGED);
      }
    }
  }
  if ((tables.classes ?? []).length !== 1) throw new Refused(DAMAGED);
}

/** Reads a document. Throws Refused with what to do. */
export function readArchive(text: string): Archive {
  let given: unknown;
  try {
    given = JSON.parse(text);
  } catch {
    throw new Refused(DAMAGED);
  }
  const { data, error } = archiveSchema.safeParse(given);
  if (!data) throw new Refused(error.issues[0]?.message ?? NO_ARCHIVE);
  checkRows(data);
  return data;
}

/** What is told of an archive that can't be brought in. */
export const damaged = () => new Refused(DAMAGED);
