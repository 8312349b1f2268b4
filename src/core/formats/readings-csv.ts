/** Readings of a printed chart as CSV: one row a patch, with the printer's code and the lightness that was read. */
import { z } from 'zod';
import { readCsvTable } from './csv-table';

export const readingSchema = z.object({
  /** sRGB code that was printed, 0 to 255. */
  code: z.number().int().min(0).max(255),
  /** L* that was read. */
  lightness: z.number().min(-5).max(105),
});
export type Reading = z.infer<typeof readingSchema>;

/** The file can't be used; `message` says what to change. */
export class BadReadings extends Error {
  override readonly name = 'BadReadings';
}

const HEADER = ['code', 'lightness'] as const;

/** Reads `code,lightness` rows; quotes, semicolons, tabs and decimal commas are understood. Throws BadReadings. */
export function parseReadings(text: string): Reading[] {
  const { header, names, rows, number } = readCsvTable(text);
  const [codeAt, lightnessAt] = HEADER.map((h) => names.indexOf(h)) as [number, number];
  if (codeAt < 0 || lightnessAt < 0)
    throw new BadReadings(
      `The first line must name the columns code and lightness; it says “${header.join(', ').slice(0, 80)}”.`,
    );
  if (rows.length < 8) throw new BadReadings(`At least eight patches must be read, and there are ${rows.length}.`);
  return rows.map((row, i) => {
    const parsed = readingSchema.safeParse({ code: number(row[codeAt]), lightness: number(row[lightnessAt]) });
    if (!parsed.success)
      throw new BadReadings(
        `Line ${i + 2} is not understood: “${row.join(', ').slice(0, 60)}”. It needs a code from 0 to 255 and a lightness from 0 to 100.`,
      );
    return parsed.data;
  });
}

/** Readings of a printer's chart as CSV: printer code 0 to 255 and L*, to two decimals. */
export function formatReadings(readings: readonly Reading[]): string {
  return `${HEADER.join(',')}\n${readings.map((r) => `${r.code},${r.lightness.toFixed(2)}`).join('\n')}\n`;
}
