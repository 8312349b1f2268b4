/** Where a feature of a painting stands, whatever it is called. */
import type { Plane } from '../../raster/between';
import { type Affine, after, undone } from '../registration/affine';
import type { SlopedPlane } from '../registration/align';
import { composedFit } from './composed-fit';
import type { Composition } from './composition';
import { type Displaced, displacementOf, displacementOfPart } from './feature';
import { fittedOutline, outlinePlaces } from './outline';

/** What features of one painting are looked for on. */
export interface Ground {
  /** Local contrasts of one proportion. */
  readonly reference: Plane;
  readonly painting: SlopedPlane;
  /** L* of both, as fine as outlines need and as soft as each other. */
  readonly values: { readonly reference: Plane; readonly painting: Plane };
  readonly whole: Affine;
  /** The two side by side as the whole lies, worked out when it is asked for: most things stand where they should. */
  readonly composition: () => Composition;
}

/** What is as good as this where it should be is looked for nowhere else. */
const STANDS = 0.9;
/**
 * Of the places where it could stand: what likeness counts beside the share of its outline, each width that it lies off, and
 * that it is wider, taller or slanted there by what people seldom do.
 */
const COUNTS = { likeness: 0.4, far: 1, bent: 0.025 } as const;
const SELDOM = { size: 0.1, slant: 5 } as const;
/** Its own place, or a likelier one, is left for another one that is better by this. */
const BETTER = 0.02;

/** What stands further from its place than this, widths, stands elsewhere, and is read there. */
const ELSEWHERE = 0.006;

export const standsElsewhere = ({ dx, dy }: Pick<Displaced['displacement'], 'dx' | 'dy'>): boolean =>
  Math.hypot(dx, dy) > ELSEWHERE;

/** How seldom people widen or slant a thing so far: 1 at what is seldom. */
const bentBy = ({ width, height, slant }: Displaced['displacement']): number =>
  ((width - 1) / SELDOM.size) ** 2 + ((height - 1) / SELDOM.size) ** 2 + (slant / SELDOM.slant) ** 2;

/** Where a feature stands: found by all of its places, then by its outline; and, where that is elsewhere or seldom so bent, by its values. */
export function standing(places: Int32Array, ground: Ground, least = 0): Displaced | null {
  const { reference, painting, values, whole } = ground;
  const found = displacementOf(reference, painting, whole, places, least);
  if (!found) return null;
  const outline = outlinePlaces(places, reference);
  // Painted light for dark it is like itself nowhere, and its outline still lies where it should.
  const starts = found.unmoved > STANDS ? found.candidates.slice(0, 1) : [whole, ...found.candidates];
  const fits = starts.map((start) => {
    const { map, held } = fittedOutline(outline, values.reference, values.painting, whole, start);
    const displacement = displacementOfPart(map, whole, places, reference);
    const off = COUNTS.far * Math.hypot(displacement.dx, displacement.dy) + COUNTS.bent * bentBy(displacement);
    return { map, displacement, score: held + COUNTS.likeness * Math.max(0, found.likenessUnder(map)) - off };
  });
  const { map, displacement } = fits.reduce((best, own) => (own.score > best.score + BETTER ? own : best));
  if (!standsElsewhere(displacement) && bentBy(displacement) < 1) return { ...found, map, displacement };
  const beside = fits.map((fit) => after(undone(whole), fit.map));
  const exact = after(whole, composedFit(ground.composition(), places, beside));
  return { ...found, map: exact, displacement: displacementOfPart(exact, whole, places, reference) };
}

/** Two that stand nearer to where the other one does than this, widths, were moved alike. */
const APART = 0.015;

export const movedAlike = (a: Displaced, b: Displaced): boolean =>
  Math.hypot(a.displacement.dx - b.displacement.dx, a.displacement.dy - b.displacement.dy) <= APART;
