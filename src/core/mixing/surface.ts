/**
 * What the surface of a dry film does to light. J. L. Saunderson, "Calculation of the color of pigmented plastics"
 * (1942): a share is thrown back before it enters, a share of what comes from within is turned back. A matt surface
 * scatters part of the first share into the eye, a gloss one keeps it in the mirror direction.
 */
import type { MediumId } from '../exercise/media';

export type SurfaceId = 'matt' | 'satin' | 'gloss';

interface Surface {
  /** First-surface light that reaches the eye. */
  readonly seen: number;
  /** First-surface reflection. */
  readonly outer: number;
  /** Reflection from within. */
  readonly inner: number;
}

export const SURFACES: Record<SurfaceId, Surface> = {
  matt: { seen: 0.026, outer: 0.06, inner: 0.3 },
  satin: { seen: 0.01, outer: 0.04, inner: 0.45 },
  gloss: { seen: 0.006, outer: 0.04, inner: 0.6 },
};

export const SURFACE_OF: Record<MediumId, SurfaceId> = {
  gouache: 'matt',
  tempera: 'matt',
  acrylic: 'satin',
  oil: 'gloss',
};

/** Reflectance as it is seen or measured, from the internal one. */
export function seenReflectance(internal: number, surface: SurfaceId): number {
  const { seen, outer, inner } = SURFACES[surface];
  return seen + ((1 - outer) * (1 - inner) * internal) / (1 - inner * internal);
}

const LEAST = 5e-4;
const MOST = 0.9995;

/** The internal reflectance behind a seen one, kept within what a film can have. */
export function internalReflectance(measured: number, surface: SurfaceId): number {
  const { seen, outer, inner } = SURFACES[surface];
  const over = measured - seen;
  const internal = over / ((1 - outer) * (1 - inner) + inner * over);
  return Math.min(MOST, Math.max(LEAST, internal));
}
