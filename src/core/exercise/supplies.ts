/** What else a studio keeps besides paint: grounds, thinners, brushes. Figures are estimates to begin from. */
import type { ExerciseTerms } from './terms';

export interface Supply {
  readonly name: string;
  readonly unit: 'ml' | 'sheets' | 'pieces';
  readonly pack: number;
  readonly price: number;
  /** L* of a ground; null for what has none. */
  readonly lightness: number | null;
}

const supply = (
  name: string,
  unit: Supply['unit'],
  pack: number,
  price: number,
  lightness: number | null = null,
): Supply => ({ name, unit, pack, price, lightness });

export const BRUSH_MM = [4, 6, 8, 10, 12, 16, 20, 25, 40] as const;
export type BrushMm = (typeof BRUSH_MM)[number];

const OTHERS = {
  'white-paper': supply('heavy white paper', 'sheets', 50, 15, 94),
  'toned-paper': supply('toned grey paper', 'sheets', 25, 12, 60),
  'primed-board': supply('primed board', 'pieces', 10, 18, 93),
  canvas: supply('primed canvas', 'pieces', 1, 9, 92),
  'painting-oil': supply('painting oil', 'ml', 75, 7),
  solvent: supply('solvent', 'ml', 250, 9),
  varnish: supply('varnish', 'ml', 75, 8),
} as const;

type BrushId = `brush-${BrushMm}`;
const brushes = Object.fromEntries(
  BRUSH_MM.map((mm) => [`brush-${mm}`, supply(`flat brush, ${mm} mm`, 'pieces', 1, 3 + mm / 8)]),
) as Record<BrushId, Supply>;

export const SUPPLIES: Record<keyof typeof OTHERS | BrushId, Supply> = { ...OTHERS, ...brushes };
export type SupplyId = keyof typeof SUPPLIES;
export const SUPPLY_IDS = Object.keys(SUPPLIES) as [SupplyId, ...SupplyId[]];

/** Thinner for one student, ml: to thin a stain or a puddle and to clean the brushes once. */
const THINNER_ML = { none: 0, water: 0, oil: 5, solvent: 40 } as const;
const VARNISH_ML = 10;

/** What a student needs besides paint, in each supply's unit. Brushes are what the shapes call for, one of each. */
export function suppliesFor(
  terms: ExerciseTerms,
  brushesMm: readonly number[],
  alwaysOnPaper: boolean,
): Partial<Record<SupplyId, number>> {
  const need: Partial<Record<SupplyId, number>> = {
    [alwaysOnPaper || terms.medium !== 'oil' ? 'white-paper' : 'primed-board']: 1,
  };
  const { thinner, varnish } = terms.materials;
  if (thinner === 'oil') need['painting-oil'] = THINNER_ML.oil;
  if (thinner === 'solvent') need.solvent = THINNER_ML.solvent;
  if (varnish) need.varnish = VARNISH_ML;
  for (const mm of BRUSH_MM) if (brushesMm.includes(mm)) need[`brush-${mm}`] = 1;
  return need;
}
