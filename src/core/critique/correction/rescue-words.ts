/** A way to mend an old painting, as a teacher reads it: what is repainted, with what, and how long that takes. */
import type { ShareBox } from '../../geometry/share-box';
import { inSteps } from '../amounts';
import { capital, partOf, place } from '../naming';

interface Part {
  readonly box: ShareBox;
  readonly area: number;
  /** As it is, L*. */
  readonly lightness: number;
  readonly steps: number;
}

/** To mix a value and to try it beside its neighbours, minutes; and to cover so much of a painting whose size nobody knows. */
const MINUTES = { mix: 6, whole: 90, perDm2: 7 } as const;
const DM2 = 10_000;

const sizeOf = ({ area }: Part): string => (area > 0.3 ? 'large ' : area > 0.08 ? '' : 'small ');
const whereOf = (part: Part, which: string): string => `the ${which}${sizeOf(part)}shape ${place(part.box)}`;

/** What becomes of each shape of a way. Those that would be called the same are told apart by how light they are. */
export function sayRepaints(parts: readonly Part[]): string[] {
  const plain = parts.map((part) => whereOf(part, ''));
  return parts.map((part, k) => {
    const twins = parts.filter((_, j) => plain[j] === plain[k]);
    const isLighter = twins.every((t) => t.lightness <= part.lightness);
    const which = twins.length === 1 ? '' : isLighter ? 'lighter ' : 'darker ';
    return capital(`${whereOf(part, which)}: ${inSteps(part.steps)} ${part.steps > 0 ? 'lighter' : 'darker'}`);
  });
}

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
