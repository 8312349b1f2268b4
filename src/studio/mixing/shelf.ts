/** A teacher's cupboard, and what an exercise takes from it. */
import { brushesFor } from '@/core/exercise/brushes';
import { suppliesFor } from '@/core/exercise/supplies';
import { parseShelf, type Shelf, shelfItemSchema } from '@/core/formats/shelf-csv';
import { paintFor } from '@/core/kinds/quantities';
import { kindOf, shapeWidths } from '@/core/kinds/table';
import { type ShelfItem, shoppingList, type StoredId } from '@/core/planning/quantities';
import { shelf, students } from '@/data/schema/tables';
import { count, eq } from 'drizzle-orm';
import { exerciseFor, type Teacher } from '../access/actor';
import type { House } from '../house';
import { figuresFor } from './palettes';

export async function shelfOf(house: House, teacher: Teacher): Promise<Shelf> {
  const rows = await house.db.select().from(shelf).where(eq(shelf.teacherId, teacher.userId));
  return Object.fromEntries(rows.map((r) => [r.paint, r.item]));
}

export async function putOnShelf(house: House, teacher: Teacher, paint: StoredId, given: ShelfItem): Promise<void> {
  const item = shelfItemSchema.parse(given);
  await house.db
    .insert(shelf)
    .values({ teacherId: teacher.userId, paint, item })
    .onConflictDoUpdate({ target: [shelf.teacherId, shelf.paint], set: { item } });
}

/** Takes in a whole file or nothing of it. Throws BadShelf. What the file does not name stay as they are. */
export async function importShelf(house: House, teacher: Teacher, csv: string): Promise<number> {
  const items = Object.entries(parseShelf(csv)) as [StoredId, ShelfItem][];
  await house.db.transaction(async (tx) => {
    for (const [paint, item] of items)
      await tx
        .insert(shelf)
        .values({ teacherId: teacher.userId, paint, item })
        .onConflictDoUpdate({ target: [shelf.teacherId, shelf.paint], set: { item } });
  });
  return items.length;
}

/** What an exercise needs of paint and all else, for one student and the class, and what of it must be bought. */
export async function shoppingFor(house: House, teacher: Teacher, exerciseId: string) {
  const { exercise, class: own } = await exerciseFor(house, teacher, exerciseId);
  const [people] = await house.db.select({ n: count() }).from(students).where(eq(students.classId, own.id));
  const lines = shoppingList(
    {
      ...paintFor(exercise.terms, await figuresFor(house, own.id, exercise.terms.medium)),
      ...suppliesFor(exercise.terms, brushesFor(shapeWidths(exercise.terms)), kindOf(exercise.terms).alwaysOnPaper),
    },
    people?.n ?? 0,
    await shelfOf(house, teacher),
  );
  return { lines, students: people?.n ?? 0, currency: own.currency, total: lines.reduce((sum, l) => sum + l.cost, 0) };
}
