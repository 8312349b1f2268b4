/** A way to mend an old painting, as a teacher reads it: what is repainted, with what, and how long that takes. */
import type { ShareBox } from '../../geometry/share-box';
import { inSteps } from '../amounts';
import { capital, partOf, place } from '../naming';

interface Part {
  readonly box: ShareBox;
  readonly area: number;
  readonly steps: number;
}

/** To mix a value and to try it beside its neighbours, minutes; and to cover so much of a painting whose size nobody knows. */
const MINUTES = { mix: 6, whole: 90, perDm2: 7 } as const;
const DM2 = 10_000;

const whereOf = ({ box, area }: Part): string =>
  area > 0.3
    ? `the large shape ${place(box)}`
    : area > 0.08
      ? `the shape ${place(box)}`
      : `the small shape ${place(box)}`;

/** What becomes of one shape. */
export const sayMend = (part: Part): string =>
  capital(`${whereOf(part)}: ${inSteps(part.steps)} ${part.steps > 0 ? 'lighter' : 'darker'}`);

/** How much of the picture is painted over. */
export const sayRepainted = (area: number): string =>
  `${capital(partOf(area) || 'all of ')}the picture is painted over`;

/** About how long it takes, in words; `areaMm2` is null where the painting's size is not known. */
export function sayMinutes(parts: readonly Part[], areaMm2: number | null): string {
  const share = parts.reduce((s, p) => s + p.area, 0);
  const cover = areaMm2 === null ? share * MINUTES.whole : (areaMm2 / DM2) * MINUTES.perDm2;
  const minutes = 5 * Math.round((parts.length * MINUTES.mix + cover) / 5);
  return minutes < 60
    ? `about ${Math.max(5, minutes)} minutes`
    : `about ${(minutes / 60).toFixed(1).replace('.0', '')} hours`;
}
