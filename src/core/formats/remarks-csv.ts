/** A teacher's own remarks as CSV: one row a remark, with its key, what it is, what is seen and what to do. */
import Papa from 'papaparse';
import { FINDING_KINDS, type FindingKind } from '../critique/finding';
import { readCsvTable } from './csv-table';

/** The file holds no remarks; `message` says what to change. */
export class BadRemarks extends Error {
  override readonly name = 'BadRemarks';
}

export interface Remark {
  /** By which it is found. */
  readonly key: string;
  readonly kind: FindingKind;
  readonly say: string;
  /** What to do; empty where there is nothing to do. */
  readonly action: string;
}

const COLUMNS = ['key', 'kind', 'say', 'do'] as const;
/** As people write it in a table. */
const KINDS: Record<FindingKind, string> = { works: 'works', fix: 'to mend' };

/** Remarks as CSV; what a spreadsheet would take for a formula is kept from being one. */
export const formatRemarks = (remarks: readonly Remark[]): string =>
  `${Papa.unparse([[...COLUMNS], ...remarks.map((r) => [r.key, KINDS[r.kind], r.say, r.action])], { newline: '\n', escapeFormulae: true })}\n`;

/** What a formula was kept from being one by. */
const unescaped = (cell: string): string => cell.replace(/^'(?=[=+\-@\t\r])/, '');

/** Reads remarks; quotes, semicolons and tabs are understood. Throws BadRemarks with the line and what to change. */
export function parseRemarks(text: string): Remark[] {
  const { names, rows } = readCsvTable(text);
  const missing = COLUMNS.filter((c) => c !== 'do' && !names.includes(c));
  if (missing.length > 0)
    throw new BadRemarks(
      `The first line must name the columns ${COLUMNS.join(', ')}; ${missing.join(', ')} ${missing.length > 1 ? 'are' : 'is'} missing.`,
    );
  const at = (row: readonly string[], column: (typeof COLUMNS)[number]) =>
    unescaped((row[names.indexOf(column)] ?? '').trim());
  const seen = new Set<string>();
  return rows.map((row, i): Remark => {
    const written = at(row, 'kind').toLowerCase();
    const kind = FINDING_KINDS.find((k) => k === written || KINDS[k] === written);
    const [key, say] = [at(row, 'key'), at(row, 'say')];
    const wrong = (what: string) => new BadRemarks(`Line ${i + 2}: ${what}`);
    if (!kind) throw wrong(`“${written.slice(0, 40)}” is no kind: write “works” or “to mend”.`);
    if (key === '') throw wrong('give the remark a key to find it by.');
    if (say === '') throw wrong('say what is seen.');
    if (seen.has(key.toLowerCase())) throw wrong(`there are two remarks with the key “${key.slice(0, 40)}”.`);
    seen.add(key.toLowerCase());
    return { key, kind, say, action: at(row, 'do') };
  });
}
