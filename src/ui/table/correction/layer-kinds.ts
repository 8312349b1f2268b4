/** The changes that a layer can make: what each is called, and how it begins. */
import { type Change, type ChangeKind, LIMITS } from '@/core/correction/layer';
import type { CorrectedOf } from '@/core/critique/correction/findings';
import { glazed } from '@/core/mixing/layers';
import type { PaintModel } from '@/core/mixing/paint-model';
import type { PaintId } from '@/core/exercise/paints';
import type { SurfaceId } from '@/core/mixing/surface';

/** A paint that a glaze can be laid with. */
export interface GlazePaint {
  readonly id: PaintId;
  readonly name: string;
  readonly model: PaintModel;
  /** What can hurt about a glaze of it, and who knows best. */
  readonly caution: string;
}

/** What corrections are drawn with on a Table. */
export interface CorrectingWith {
  readonly of: CorrectedOf;
  readonly paints: readonly GlazePaint[];
  readonly surface: SurfaceId;
}

export const CHANGES: readonly { readonly kind: ChangeKind; readonly name: string; readonly hint: string }[] = [
  { kind: 'lightness', name: 'Lighter or darker', hint: 'Draw round what is to be lighter or darker.' },
  { kind: 'soften', name: 'Softer edge', hint: 'Brush along the edge that is to be softer.' },
  { kind: 'glaze', name: 'Glaze', hint: 'Draw round what the glaze is to lie on.' },
  { kind: 'move', name: 'Move or turn', hint: 'Draw round the thing that is to stand elsewhere.' },
  { kind: 'shape', name: 'New shape', hint: 'Draw the shape that is to be there.' },
];

/** A middle grey, and how much a glaze that is begun with changes it: half a step. */
const MIDDLE = 50;
/** So thick a film is looked for at the most, and in such steps, mm. */
const FILM = { most: 0.1, step: 0.001 } as const;

/** The thinnest film of a paint that shows. */
function thinGlaze({ model }: GlazePaint, surface: SurfaceId, step: number): number {
  for (let mm: number = FILM.step; mm < FILM.most; mm += FILM.step)
    if (Math.abs(glazed(MIDDLE, model, mm, surface)[0] - MIDDLE) >= step / 2) return mm;
  return FILM.most;
}

const SOFTENED = 0.008;
/** A change that is begun with: the smallest that is worth showing. */
export function firstChange(kind: ChangeKind, { of, paints, surface }: CorrectingWith): Change | null {
  switch (kind) {
    case 'lightness':
      return { kind, by: -of.step / 2 };
    case 'soften':
      return { kind, by: SOFTENED };
    case 'glaze': {
      const paint = paints.find((p) => p.model.absorption.some((k) => k > 1)) ?? paints[0];
      return paint ? glazeOf(paint, surface, thinGlaze(paint, surface, of.step)) : null;
    }
    case 'move':
      return { kind, dx: 0, dy: 0, wider: 1, taller: 1, turn: 0 };
    case 'shape':
      return { kind, lightness: of.values[Math.floor(of.values.length / 2)]?.lightness ?? 50 };
  }
}

export function glazeOf({ id, model }: GlazePaint, surface: SurfaceId, mm: number): Change {
  const { absorption, scattering } = model;
  return {
    ...{ kind: 'glaze', paint: id, surface, mm },
    model: { absorption: [...absorption], scattering: [...scattering] },
  };
}

/** How far inwards a mask fades where nothing else is said: an edge is soft along itself already. */
export const FIRST_SOFT: Record<ChangeKind, number> = {
  lightness: 0.012,
  soften: 0.01,
  glaze: 0.01,
  move: 0.006,
  shape: 0.002,
};
export const SOFTEST = LIMITS.soft;
