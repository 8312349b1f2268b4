/** How thick paint is laid, and how much an area takes. */
import type { MediumId } from '../exercise/media';

/** Thickness of a covering wet film, mm. */
export const FILM_MM: Record<MediumId, number> = { gouache: 0.15, tempera: 0.15, acrylic: 0.15, oil: 0.3 };
/** What stays on palette and brush, as a share of what is painted. */
export const WASTE = 0.75;

/** Paint for an area, waste included, ml. */
export const millilitres = (areaMm2: number, medium: MediumId): number =>
  (areaMm2 * FILM_MM[medium] * (1 + WASTE)) / 1000;
