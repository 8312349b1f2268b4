/** Rings round what disagrees, over a painting or its reference, and a box round what is told of a part without one. */
import type { Finding } from '@/core/critique/finding';
import { onAnyGround } from '../parts/on-any-ground';

/** A box stands so far off what it is round, shares of the picture: a thin line would lie under it. */
const AROUND = 0.012;

interface Props {
  readonly regions: readonly { readonly outline?: readonly (readonly (readonly [number, number])[])[] | undefined }[];
  /** How far the picture under them lies from the reference, shares of it. */
  readonly shift: { readonly x: number; readonly y: number };
  /** Region that is lit up, by its place in the list; null for none. */
  readonly lit: number | null;
  /** Part that is lit up and is no region. */
  readonly box: Finding['where']['box'];
  readonly onPick: (region: number) => void;
}

export function RegionOutlines({ regions, shift: { x, y }, lit, box, onPick }: Props) {
  return (
    <svg
      viewBox="0 0 1 1"
      preserveAspectRatio="none"
      className="pointer-events-none absolute inset-0 h-full w-full"
      aria-hidden
    >
      {regions.map((region, k) => {
        const d = (region.outline ?? [])
          .map((ring) => `M${ring.map(([u, v]) => `${u + x} ${v + y}`).join('L')}Z`)
          .join('');
        const wide = lit === k ? 2 : 0;
        return (
          <g key={k} className="pointer-events-auto cursor-pointer" onClick={() => onPick(k)}>
            <path d={d} fill="#777" fillOpacity={0.01} fillRule="evenodd" />
            {onAnyGround(
              (line) => (
                <path d={d} {...line} />
              ),
              1.2 + wide,
            )}
          </g>
        );
      })}
      {lit === null &&
        box &&
        onAnyGround(
          (line) => (
            <rect
              x={box.x + x - AROUND}
              y={box.y + y - AROUND}
              width={box.width + 2 * AROUND}
              height={box.height + 2 * AROUND}
              {...line}
            />
          ),
          3,
        )}
    </svg>
  );
}
