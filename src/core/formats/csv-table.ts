/** A table as spreadsheets and instruments write it: commas, semicolons or tabs, quotes, decimal points or commas. */
import Papa from 'papaparse';

export interface CsvTable {
  /** Names of the columns as they are written, and in small letters to look up. */
  readonly header: readonly string[];
  readonly names: readonly string[];
  readonly rows: readonly (readonly string[])[];
  /** A cell as a number: a comma is a decimal point where something else parts the columns. NaN where it is none. */
  readonly number: (cell: string | undefined) => number;
}

/** A table from CSV text: quotes, semicolons, tabs and decimal commas are understood. */
export function readCsvTable(text: string): CsvTable {
  const { data, meta } = Papa.parse<string[]>(text.replace(/^\uFEFF/, '').trim(), {
    skipEmptyLines: 'greedy',
    delimitersToGuess: [',', ';', '\t'],
  });
  const [header = [], ...rows] = data;
  const comma = meta.delimiter !== ',';
  return {
    header,
    names: header.map((h) => h.trim().toLowerCase()),
    rows,
    number: (cell = '') =>
      cell.trim() === '' ? Number.NaN : Number(comma ? cell.trim().replace(',', '.') : cell.trim()),
  };
}
