'use client';
/** The painted strip, straightened, over the greys that were wanted; cells meet so that a right value loses its seam. */
import { cssGrey } from '../../parts/grey';

interface Props {
  readonly picture: string | null;
  readonly targets: readonly number[];
  readonly perRow: number;
  /** Distance of two cells, and margin, in percent of the strip's width. */
  readonly gapPercent: number;
  /** A picture with bands, taller than a strip: kept within half the height. */
  readonly tall: boolean;
  readonly squint: boolean;
  readonly lit: readonly number[];
}

export function StripCompare({ picture, targets, perRow, gapPercent, tall, squint, lit }: Props) {
  return (
    <figure className="m-0" aria-label="Painted strip above, wanted greys below">
      <svg width={0} height={0} aria-hidden className="absolute">
        {/* Squinting fuses light, not codes: the blur works on linear values. */}
        <filter id="squint" colorInterpolationFilters="linearRGB" x="0" y="0" width="1" height="1">
          <feGaussianBlur stdDeviation="9" edgeMode="duplicate" />
        </filter>
      </svg>
      {picture ? (
        <img
          src={picture}
          alt="The painted strip, straightened"
          className={tall ? 'mx-auto block h-[44vh] w-auto' : 'block h-auto w-full'}
          style={squint ? { filter: 'url(#squint)' } : undefined}
        />
      ) : (
        <div className="flex aspect-[182/34] w-full items-center justify-center bg-l70 text-l10">
          The straightened strip is being made …
        </div>
      )}
      <div
        className="grid h-[72px]"
        style={{
          gridTemplateColumns: `repeat(${perRow}, 1fr)`,
          columnGap: `${gapPercent}%`,
          paddingInline: `${gapPercent}%`,
        }}
        aria-hidden
      >
        {targets.map((t, i) => (
          <span key={i} className="flex items-end justify-center pb-1" style={{ background: cssGrey(t) }}>
            {lit.includes(i + 1) && <span className="block h-2 w-2 rotate-45 bg-l10 outline outline-1 outline-l97" />}
          </span>
        ))}
      </div>
    </figure>
  );
}
