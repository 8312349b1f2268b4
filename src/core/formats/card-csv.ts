/** Readings of a printed card as CSV: `patch,lightness,a,b`, patch 1 first, and a row `paper` for the bare paper. */
import type { CardReadings } from '../capture/card-profile';
import { labSchema } from '../capture/lab-schema';
import type { Triple } from '../colour/srgb';
import { readCsvTable } from './csv-table';

/** The file can't be used; `message` says what to change. */
export class BadCard extends Error {
  override readonly name = 'BadCard';
}

const COLUMNS = ['patch', 'lightness', 'a', 'b'] as const;
export const MOST_PATCHES = 200;
/** Puts one reading among the others. Throws BadCard on a name that is no patch, a patch twice, or a colour that can't be. */
export function addReading(
  into: { paper: Triple | null; patches: Map<number, Triple> },
  name: string,
  lab: readonly number[],
  line: number,
): void {
  const parsed = labSchema.safeParse(lab);
  if (!parsed.success) throw new BadCard(`Line ${line}: ${parsed.error.issues[0]?.message ?? 'not understood'}.`);
  const own = name.trim().toLowerCase();
  if (own === 'paper') {
    into.paper = parsed.data;
    return;
  }
  const patch = /^\d{1,4}$/.test(own) ? Number(own) : Number.NaN;
  if (!(patch >= 1 && patch <= MOST_PATCHES))
    throw new BadCard(`Line ${line}: “${name.slice(0, 30)}” is no patch. Number the patches from 1, or write “paper”.`);
  if (into.patches.has(patch)) throw new BadCard(`Line ${line}: patch ${patch} is there twice.`);
  into.patches.set(patch, parsed.data);
}

/** Reads the table; quotes, semicolons, tabs and decimal commas are understood. Throws BadCard. */
export function parseCardCsv(text: string): CardReadings {
  const { header, names, rows, number } = readCsvTable(text);
  const at = COLUMNS.map((c) => names.indexOf(c));
  if (at.includes(-1))
    throw new BadCard(
      `The first line must name the columns patch, lightness, a and b; it says “${header.join(', ').slice(0, 80)}”.`,
    );
  const readings = { paper: null as Triple | null, patches: new Map<number, Triple>() };
  rows.forEach((row, i) =>
    addReading(
      readings,
      row[at[0] as number] ?? '',
      at.slice(1).map((k) => number(row[k])),
      i + 2,
    ),
  );
  if (readings.patches.size < 8)
    throw new BadCard(`At least eight patches must be read, and there are ${readings.patches.size}.`);
  return readings;
}

const short = (v: number): string => String(Number(v.toFixed(3)));

/** Readings as CSV with the columns patch, lightness, a, b (L*a*b* under D65), to three decimals. */
export function formatCardCsv({ paper, patches }: CardReadings): string {
  const row = (name: string | number, lab: Triple) => `${name},${lab.map(short).join(',')}`;
  const lines = [...patches].sort(([a], [b]) => a - b).map(([k, lab]) => row(k, lab));
  return `${[COLUMNS.join(','), ...(paper ? [row('paper', paper)] : []), ...lines].join('\n')}\n`;
}
