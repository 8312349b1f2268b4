/** What a layer of each kind begins with: the smallest change that is worth showing. */
import type { PaintId } from '../exercise/paints';
import { glazed } from '../mixing/layers';
import type { PaintModel } from '../mixing/paint-model';
import type { SurfaceId } from '../mixing/surface';
import { type Change, type ChangeKind, LIMITS } from './layer';

/** What corrections of an exercise are made with. */
export interface Means {
  /** What a step of the exercise is, and the values that it has words for, L*. */
  readonly step: number;
  readonly values: readonly { readonly lightness: number }[];
  readonly paints: readonly { readonly id: PaintId; readonly model: PaintModel }[];
  readonly surface: SurfaceId;
}

/** Sigma of an edge that is softened, share of the width. */
const SOFTENED = 0.008;
/** A middle grey, L*: on it a glaze is tried. */
const MIDDLE = 50;
/** A film is looked for in steps of the thinnest, up to this, mm. */
const THICKEST = 0.1;
/** A paint that absorbs more than this in some band is no white. */
const TINTS = 1;

/** The thinnest film of a paint that changes a middle grey by half a step, mm; the thickest where none does. */
function thinGlaze(model: PaintModel, { surface, step }: Means): number {
  const { least } = LIMITS.filmMm;
  for (let mm: number = least; mm < THICKEST; mm += least)
    if (Math.abs(glazed(MIDDLE, model, mm, surface)[0] - MIDDLE) >= step / 2) return mm;
  return THICKEST;
}

/** A glaze of a paint, with the paint as it is known now. */
export function glazeOf({ id, model }: Means['paints'][number], surface: SurfaceId, mm: number): Change {
  const { absorption, scattering } = model;
  return {
    ...{ kind: 'glaze', paint: id, surface, mm },
    model: { absorption: [...absorption], scattering: [...scattering] },
  };
}

/** Null of a glaze where there is no paint for one. */
export function firstChange(kind: ChangeKind, means: Means): Change | null {
  const { step, values, paints, surface } = means;
  switch (kind) {
    case 'lightness':
      return { kind, by: -step / 2 };
    case 'soften':
      return { kind, by: SOFTENED };
    case 'glaze': {
      const paint = paints.find((p) => p.model.absorption.some((k) => k > TINTS)) ?? paints[0];
      return paint ? glazeOf(paint, surface, thinGlaze(paint.model, means)) : null;
    }
    case 'move':
      return { kind, dx: 0, dy: 0, wider: 1, taller: 1, turn: 0 };
    case 'shape':
      return { kind, lightness: values[Math.floor(values.length / 2)]?.lightness ?? MIDDLE };
  }
}

/** How far inwards a mask fades where nothing else is said, share of the width: a new shape has an edge, a light has hardly one. */
export const FIRST_SOFT: Record<ChangeKind, number> = {
  lightness: 0.012,
  soften: 0.01,
  glaze: 0.01,
  move: 0.006,
  shape: 0.002,
};
