/** Paints with their figures as CSV: `paint,lightness,a,b,tinting`, the colour from the tube and the tinting strength. */
import Papa from 'papaparse';
import { z } from 'zod';
import { PAINT_IDS, type PaintId, PAINTS } from '../exercise/paints';
import type { PaintFigures } from '../mixing/paint-model';
import { readCsvTable } from './csv-table';

/** The file holds no palette; `message` says what to change. */
export class BadPalette extends Error {
  override readonly name = 'BadPalette';
}

export interface PaletteRow extends PaintFigures {
  readonly paint: PaintId;
}

const COLUMNS = ['paint', 'lightness', 'a', 'b', 'tinting'] as const;
const figures = z.object({
  lightness: z
    .number({ error: 'Lightness is 0 to 100.' })
    .min(0, 'Lightness is 0 to 100.')
    .max(100, 'Lightness is 0 to 100.'),
  a: z.number({ error: 'a is -128 to 128.' }).min(-128, 'a is -128 to 128.').max(128, 'a is -128 to 128.'),
  b: z.number({ error: 'b is -128 to 128.' }).min(-128, 'b is -128 to 128.').max(128, 'b is -128 to 128.'),
  tinting: z
    .number({ error: 'Tinting strength is more than 0.' })
    .positive('Tinting strength is more than 0.')
    .max(100, 'Tinting strength is 100 at most.'),
});

const short = (n: number): string => String(Number(n.toFixed(3)));

/** A palette as CSV: each paint with its mass tone (L*a*b*) and its tinting strength. */
export function formatPalette(rows: readonly PaletteRow[]): string {
  return `${Papa.unparse([COLUMNS, ...rows.map((r) => [PAINTS[r.paint].name, ...r.massTone.map(short), short(r.tinting)])], { newline: '\n' })}\n`;
}

/** Reads paints; throws BadPalette with the line and what to change. */
export function parsePalette(text: string): PaletteRow[] {
  const { names, rows, number } = readCsvTable(text);
  const missing = COLUMNS.filter((c) => !names.includes(c));
  if (missing.length > 0)
    throw new BadPalette(
      `The first line must name the columns ${COLUMNS.join(', ')}; ${missing.join(', ')} ${missing.length > 1 ? 'are' : 'is'} missing.`,
    );
  if (rows.length > PAINT_IDS.length)
    throw new BadPalette(
      `This file has ${rows.length} paints; a palette is a few of the ${PAINT_IDS.length} that Fair Grey knows.`,
    );
  const column = (row: readonly string[], name: (typeof COLUMNS)[number]) => row[names.indexOf(name)];
  return rows.map((row, i) => {
    const name = (column(row, 'paint') ?? '').trim().toLowerCase();
    const paint = PAINT_IDS.find((p) => p === name || PAINTS[p].name === name);
    if (!paint) throw new BadPalette(`Line ${i + 2}: “${name.slice(0, 40)}” is no paint that Fair Grey knows.`);
    const found = figures.safeParse({
      lightness: number(column(row, 'lightness')),
      a: number(column(row, 'a')),
      b: number(column(row, 'b')),
      tinting: number(column(row, 'tinting')),
    });
    if (!found.success)
      throw new BadPalette(
        `Line ${i + 2}, ${PAINTS[paint].name}: ${found.error.issues[0]?.message ?? 'not understood'}`,
      );
    return {
      paint,
      massTone: [found.data.lightness, found.data.a, found.data.b] as const,
      tinting: found.data.tinting,
    };
  });
}
