/**
 * How much paint an exercise takes, for one student and for a class, what of it must be bought and what that
 * costs. All figures are estimates to shop by.
 */
import { PAINT_IDS, type PaintId, PAINTS } from '../exercise/paints';
import { SUPPLIES, type Supply, SUPPLY_IDS, type SupplyId } from '../exercise/supplies';

/** All that stands in a cupboard. */
export type StoredId = PaintId | SupplyId;
export const STORED_IDS = [...PAINT_IDS, ...SUPPLY_IDS] as readonly StoredId[] as readonly [StoredId, ...StoredId[]];
export const storedName = (id: StoredId): string =>
  id in PAINTS ? PAINTS[id as PaintId].name : SUPPLIES[id as SupplyId].name;
export const storedUnit = (id: StoredId): Supply['unit'] => (id in PAINTS ? 'ml' : SUPPLIES[id as SupplyId].unit);

/** Amounts in the unit of what is stored. */
export interface ShelfItem {
  readonly pack: number;
  /** Price of a pack, in the currency's own units. */
  readonly price: number;
  readonly stock: number;
}

export interface ShoppingLine {
  readonly what: StoredId;
  readonly perStudent: number;
  readonly forClass: number;
  readonly stock: number;
  readonly short: number;
  readonly packs: number;
  readonly cost: number;
}

/** Packs and prices to begin from; local figures are the teacher's own. */
export function usualItem(id: StoredId): ShelfItem {
  if (id in PAINTS) return { pack: 60, price: 8, stock: 0 };
  const { pack, price } = SUPPLIES[id as SupplyId];
  return { pack, price, stock: 0 };
}

/** What a class needs and what of it must be bought, in whole packs. */
export function shoppingList(
  need: Partial<Record<StoredId, number>>,
  students: number,
  shelf: Partial<Record<StoredId, ShelfItem>>,
): ShoppingLine[] {
  return (Object.keys(need) as StoredId[]).map((what) => {
    const item = shelf[what] ?? usualItem(what);
    const perStudent = need[what] ?? 0;
    const forClass = perStudent * students;
    const short = Math.max(0, forClass - item.stock);
    const packs = Math.ceil(short / item.pack);
    return { what, perStudent, forClass, stock: item.stock, short, packs, cost: packs * item.price };
  });
}
