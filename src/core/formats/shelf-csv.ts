/** What stands in the cupboard as CSV: one row a thing, with its unit, pack, price and stock. */
import Papa from 'papaparse';
import { z } from 'zod';
import { type ShelfItem, STORED_IDS, type StoredId, storedName, storedUnit } from '../planning/quantities';
import { readCsvTable } from './csv-table';

/** The file holds no cupboard; `message` says what to change. */
export class BadShelf extends Error {
  override readonly name = 'BadShelf';
}

export const shelfItemSchema = z.object({
  pack: z.number({ error: 'A pack holds more than 0.' }).positive('A pack holds more than 0.').max(20_000),
  price: z.number({ error: 'A price is 0 or more.' }).min(0, 'A price is 0 or more.').max(1_000_000),
  stock: z.number({ error: 'Stock is 0 or more.' }).min(0, 'Stock is 0 or more.').max(1_000_000),
});

const HEADER = ['what', 'pack', 'price', 'stock'] as const;
export type Shelf = Partial<Record<StoredId, ShelfItem>>;

/** A cupboard as CSV, a row for each thing that stands in it. */
export function formatShelf(shelf: Shelf): string {
  const rows = STORED_IDS.flatMap((id) => {
    const item = shelf[id];
    return item ? [[storedName(id), storedUnit(id), item.pack, item.price, item.stock]] : [];
  });
  return `${Papa.unparse([['what', 'unit', 'pack', 'price', 'stock'], ...rows], { newline: '\n' })}\n`;
}

/** Reads a shelf; quotes, semicolons and decimal commas are understood. Throws BadShelf with the line and what to change. */
export function parseShelf(text: string): Shelf {
  const { names, rows, number } = readCsvTable(text);
  const missing = HEADER.filter((h) => !names.includes(h));
  if (missing.length > 0)
    throw new BadShelf(
      `The first line must name the columns ${HEADER.join(', ')}; ${missing.join(', ')} ${missing.length > 1 ? 'are' : 'is'} missing.`,
    );
  const at = Object.fromEntries(HEADER.map((h) => [h, names.indexOf(h)])) as Record<(typeof HEADER)[number], number>;
  const shelf: Shelf = {};
  rows.forEach((row, i) => {
    const name = (row[at.what] ?? '').trim().toLowerCase();
    const id = STORED_IDS.find((p) => storedName(p) === name || p === name);
    if (!id) throw new BadShelf(`Line ${i + 2}: “${name.slice(0, 40)}” is not on the list of the cupboard.`);
    const item = shelfItemSchema.safeParse({
      pack: number(row[at.pack]),
      price: number(row[at.price]),
      stock: number(row[at.stock]),
    });
    if (!item.success)
      throw new BadShelf(`Line ${i + 2}, ${storedName(id)}: ${item.error.issues[0]?.message ?? 'not understood'}`);
    shelf[id] = item.data;
  });
  return shelf;
}
