'use client';
/** What is painted so far, in greys, over the greys that are wanted: held to squint, held to see the one in place of the other. */
import type { LookView } from '@/studio/hand-in/looks';
import { cssGrey } from '../parts/grey';

interface Props {
  readonly picture: string;
  readonly look: Pick<LookView, 'aspect' | 'wanted'>;
  readonly squint: boolean;
  /** The wanted greys in place of what is painted. */
  readonly swapped: boolean;
}

const WIDTH = 1000;
/** Squinting blurs by so much of the longer side. */
const SQUINT = 0.012;
const PAPER = 96;

function Wanted({ look: { wanted }, height }: { look: Props['look']; height: number }) {
  return (
    <>
      <rect width={WIDTH} height={height} fill={cssGrey(PAPER)} />
      {wanted.map(({ cell, lightness }) => (
        <path
          key={cell.step}
          fillRule="evenodd"
          fill={cssGrey(lightness)}
          d={cell.rings
            .map(
              (ring) => `M${ring.map(([x, y]) => `${(x * WIDTH).toFixed(1)} ${(y * height).toFixed(1)}`).join('L')}Z`,
            )
            .join('')}
        />
      ))}
    </>
  );
}

export function LookPicture({ picture, look, squint, swapped }: Props) {
  const height = WIDTH / look.aspect;
  const filter = squint ? 'url(#look-squint)' : undefined;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${height}`}
      className="block w-full"
      role="img"
      aria-label={swapped ? 'The greys that are wanted' : 'What is painted so far, in greys'}
    >
      {/* Squinting fuses light, not codes: the blur works on linear values. */}
      <filter
        id="look-squint"
        filterUnits="userSpaceOnUse"
        x={0}
        y={0}
        width={WIDTH}
        height={height}
        colorInterpolationFilters="linearRGB"
      >
        <feGaussianBlur stdDeviation={SQUINT * Math.max(WIDTH, height)} edgeMode="duplicate" />
      </filter>
      <g filter={filter}>
        {swapped ? (
          <Wanted look={look} height={height} />
        ) : (
          <image href={picture} width={WIDTH} height={height} preserveAspectRatio="none" />
        )}
      </g>
    </svg>
  );
}

/** The wanted greys alone, to hold beside. */
export function WantedPicture({ look, squint }: Pick<Props, 'look' | 'squint'>) {
  const height = WIDTH / look.aspect;
  return (
    <svg viewBox={`0 0 ${WIDTH} ${height}`} className="block w-full" role="img" aria-label="The greys that are wanted">
      <g filter={squint ? 'url(#look-squint)' : undefined}>
        <Wanted look={look} height={height} />
      </g>
    </svg>
  );
}
