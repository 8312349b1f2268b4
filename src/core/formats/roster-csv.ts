/** The list of a class as other programs write it: any common encoding, any separator, any columns. */
import { readCsvTable } from './csv-table';

/** The file holds no list; `message` says what to do. */
export class BadRoster extends Error {
  override readonly name = 'BadRoster';
}

export interface Roster {
  /** As they are called in the first line; a list of names alone has one without a name. */
  readonly columns: readonly string[];
  readonly rows: readonly (readonly string[])[];
  /** The column that most likely holds names, and one that holds more of them; null of none. */
  readonly likely: { readonly name: number; readonly more: number | null };
}

/** Longer than any school's. */
const MOST_BYTES = 2_000_000;
const MOST_ROWS = 5000;

const MARKS: readonly (readonly [mark: readonly number[], encoding: string])[] = [
  [[0xef, 0xbb, 0xbf], 'utf-8'],
  [[0xff, 0xfe], 'utf-16le'],
  [[0xfe, 0xff], 'utf-16be'],
];

/**
 * Text of a file: by its mark, else as UTF-8, else as Windows wrote it in the West (windows-1252, WHATWG Encoding Standard), in which
 * every byte means something.
 */
export function textOf(bytes: Uint8Array): string {
  const marked = MARKS.find(([mark]) => mark.every((byte, i) => bytes[i] === byte));
  if (marked) return new TextDecoder(marked[1]).decode(bytes);
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
}

/** What columns of names are called in lists of several languages, in small letters. */
const NAMES =
  /^(display ?name|name|full ?name|student|pupil|first ?name|given ?name|vorname|prénom|prenom|nombre|nome)$/;
const MORE = /^(last ?name|family ?name|surname|nachname|nom|apellidos?|cognome|sobrenome|apelido)$/;

function likelyIn(columns: readonly string[]): Roster['likely'] {
  const small = columns.map((c) => c.trim().toLowerCase());
  const name = small.findIndex((c) => NAMES.test(c));
  const more = small.findIndex((c) => MORE.test(c));
  if (name < 0) return { name: Math.max(0, more), more: null };
  return { name, more: more < 0 ? null : more };
}

/** What was kept from being a formula. */
const unescaped = (cell: string): string => cell.replace(/^'(?=[=+\-@\t\r])/, '').trim();

/** Reads a list. Throws BadRoster where there is none in it. */
export function readRoster(bytes: Uint8Array): Roster {
  if (bytes.length > MOST_BYTES)
    throw new BadRoster('This file is larger than any list of a class: choose another one.');
  if (bytes[0] === 0x50 && bytes[1] === 0x4b)
    throw new BadRoster('This is a workbook, not a list: save it as CSV in your spreadsheet, and choose that file.');
  const text = textOf(bytes);
  if (text.includes('\u0000')) throw new BadRoster('This file is no text: save the list as CSV, and choose that file.');
  const { header, rows } = readCsvTable(text);
  if (rows.length > MOST_ROWS) throw new BadRoster(`This list has ${rows.length} rows; up to ${MOST_ROWS} are read.`);
  const isTitled = likelyIn(header).more !== null || header.some((h) => NAMES.test(h.trim().toLowerCase()));
  // One name a line and nothing above them: the first line is a name too.
  const isPlain = header.length === 1 && !isTitled;
  const all = isPlain ? [header, ...rows] : rows;
  if (all.every((row) => row.every((c) => c.trim() === '')))
    throw new BadRoster(
      'There are no names in this file: one student a line, with a first line that names the columns.',
    );
  return {
    columns: isPlain ? [''] : header.map((h) => h.trim()),
    rows: all.map((row) => row.map(unescaped)),
    likely: isPlain ? { name: 0, more: null } : likelyIn(header),
  };
}

export type RosterState = 'new' | 'here' | 'twice' | 'empty' | 'long';
export interface RosterName {
  readonly name: string;
  readonly state: RosterState;
}

/** As long as a name may be. */
const MOST_LETTERS = 80;
/** Names are the same however they are written in letters and spaces. */
const comparable = (name: string): string => name.normalize('NFKC').toLowerCase().replace(/\s+/g, ' ').trim();

/**
 * The names of a list, each with whether it is new to the class, there already, or twice in the list. `columns` says which of its
 * columns holds the name and which more of it, null for none; `here` are names in the class.
 */
export function namesOfRoster(
  roster: Pick<Roster, 'rows'>,
  columns: { readonly name: number; readonly more: number | null },
  here: readonly string[],
): RosterName[] {
  const known = new Set(here.map(comparable));
  const seen = new Set<string>();
  const stateOf = (name: string): RosterState => {
    const same = comparable(name);
    if (same === '') return 'empty';
    if ([...name].length > MOST_LETTERS) return 'long';
    if (known.has(same)) return 'here';
    if (seen.has(same)) return 'twice';
    seen.add(same);
    return 'new';
  };
  return roster.rows.map((row) => {
    const parts = [row[columns.name], columns.more === null ? '' : row[columns.more]];
    const name = parts
      .map((part) => (part ?? '').trim())
      .filter((part) => part !== '')
      .join(' ');
    return { name, state: stateOf(name) };
  });
}
