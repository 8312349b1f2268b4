/**
 * How much paint an exercise takes, for one student and for a class, what of it must be bought and what that
 * costs. All figures are estimates to shop by: a covering film, what stays on the palette, and how little black a
 * grey needs.
 */
import { bandPicture } from '../bands/band-picture';
import { lightnessToLuminance } from '../colour/lab';
import { valuesOf } from '../exercise/kinds';
import type { MediumId } from '../exercise/media';
import { type ExerciseTerms, isStepped } from '../exercise/terms';
import { exerciseLayout } from '../sheet/exercise-layout';
import { PAINT_IDS, type PaintId, PAINTS } from './paints';
import { SUPPLIES, type Supply, SUPPLY_IDS, type SupplyId } from './supplies';

/** Thickness of a covering wet film, mm. */
export const FILM_MM: Record<MediumId, number> = { gouache: 0.15, tempera: 0.15, acrylic: 0.15, oil: 0.3 };
/** What stays on palette and brush, as a share of what is painted. */
export const WASTE = 0.75;

export interface ValueArea {
  readonly lightness: number;
  readonly areaMm2: number;
}

/** What is to be painted, by value. A picture is taken to use its values in equal parts. */
export function areasOf(terms: ExerciseTerms): ValueArea[] {
  const values = valuesOf(terms);
  if (terms.kind === 'bands') {
    const lightFirst = [...values].sort((a, b) => b - a);
    const picture = bandPicture(terms);
    const bands = picture.bands.map((b, i) => ({ lightness: lightFirst[i] ?? 50, areaMm2: b.areaMm2 }));
    return picture.silhouette ? [...bands, { lightness: terms.ends.dark, areaMm2: picture.silhouette.areaMm2 }] : bands;
  }
  const layout = exerciseLayout(terms);
  const places = [...layout.cells.map((c) => c.widthMm * c.heightMm)];
  const dabs = layout.dabs.reduce((sum, d) => sum + d.widthMm * d.heightMm, 0) / values.length;
  if (isStepped(terms)) return values.map((lightness, i) => ({ lightness, areaMm2: (places[i] ?? 0) + dabs }));
  const whole = places.reduce((a, b) => a + b, 0);
  return values.map((lightness) => ({ lightness, areaMm2: whole / values.length + dabs }));
}

const absorption = (lightness: number): number => {
  const r = Math.min(0.999, Math.max(0.001, lightnessToLuminance(lightness)));
  return (1 - r) ** 2 / (2 * r);
};
/** Scattering of a dark paint for each unit of its tinting strength; white's is 1. Half a percent of ivory black in white then gives step 2 of nine. */
const SCATTER_PER_TINTING = 1 / 8;

/**
 * Share of black, by volume, in a mix with white that dries to a lightness: two-paint mixing after
 * P. Kubelka and F. Munk (1931), absorption over scattering adding by volume. 0 to 1.
 */
export function blackShare(lightness: number, white: PaintId, black: PaintId): number {
  const wanted = absorption(lightness);
  const [w, b] = [absorption(PAINTS[white].lightness), absorption(PAINTS[black].lightness)];
  if (wanted <= w) return 0;
  if (wanted >= b) return 1;
  const scatter = PAINTS[black].tinting * SCATTER_PER_TINTING;
  return (wanted - w) / (wanted - w + scatter * (b - wanted));
}

/** Millilitres of each paint for one student, waste included. */
export function paintFor(terms: ExerciseTerms): Partial<Record<PaintId, number>> {
  const paints = terms.materials.paints;
  const white = paints.find((p) => PAINTS[p].family === 'white');
  const black = paints.find((p) => PAINTS[p].family === 'black');
  const others = paints.filter((p) => p !== white && p !== black);
  const millilitres = (area: number) => (area * FILM_MM[terms.medium] * (1 + WASTE)) / 1000;
  const need: Partial<Record<PaintId, number>> = {};
  const add = (paint: PaintId | undefined, ml: number) => {
    if (paint && ml > 0) need[paint] = (need[paint] ?? 0) + ml;
  };
  for (const { lightness, areaMm2 } of areasOf(terms)) {
    const ml = millilitres(areaMm2);
    // Hues share evenly what is not made of white and black alone; how they mix is another matter.
    const grey = others.length === 0 ? ml : ml / 2;
    const share = white && black ? blackShare(lightness, white, black) : white ? 0 : 1;
    add(white, grey * (1 - share));
    add(black, grey * share);
    others.forEach((p) => add(p, (ml - (white || black ? grey : 0)) / others.length));
  }
  return need;
}

/** All that stands in a cupboard. */
export type StoredId = PaintId | SupplyId;
export const STORED_IDS = [...PAINT_IDS, ...SUPPLY_IDS] as readonly StoredId[] as readonly [StoredId, ...StoredId[]];
export const storedName = (id: StoredId): string => (id in PAINTS ? PAINTS[id as PaintId].name : SUPPLIES[id as SupplyId].name);
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
export function shoppingList(need: Partial<Record<StoredId, number>>, students: number, shelf: Partial<Record<StoredId, ShelfItem>>): ShoppingLine[] {
  return (Object.keys(need) as StoredId[]).map((what) => {
    const item = shelf[what] ?? usualItem(what);
    const perStudent = need[what] ?? 0;
    const forClass = perStudent * students;
    const short = Math.max(0, forClass - item.stock);
    const packs = Math.ceil(short / item.pack);
    return { what, perStudent, forClass, stock: item.stock, short, packs, cost: packs * item.price };
  });
}
