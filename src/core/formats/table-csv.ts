/** A table of words and numbers as CSV. */
import Papa from 'papaparse';

interface Table {
  readonly columns: readonly string[];
  /** Null is nothing known. */
  readonly rows: readonly (readonly (string | number | null)[])[];
}

/** Numbers are written with at most four places after the point. */
const cell = (value: string | number | null): string =>
  typeof value === 'number' ? String(Math.round(value * 1e4) / 1e4) : (value ?? '');

/** The table as CSV; what a spreadsheet would take for a formula is kept from being one. */
export function tableToCsv({ columns, rows }: Table): string {
  const lines = [columns, ...rows.map((row) => row.map(cell))];
  const words = Papa.unparse(
    lines.map((line) => [...line]),
    // A number below nought is no formula.
    { newline: '\n', escapeFormulae: /^(?!-?\d+(\.\d+)?$)[=+\-@\t\r]/ },
  );
  return `${words}\n`;
}
