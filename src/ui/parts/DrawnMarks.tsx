/** Marks over a picture, as they are read on any ground: dark strokes on wider light ones, and their numbers. */
import { drawnMark, type Mark, type Place, sizesAt } from '@/core/critique/marks';
import { onAnyGround } from './on-any-ground';

/** Path of a stroke, in widths of the picture. */
export const pathOf = (points: readonly Place[], closed: boolean): string =>
  `M${points.map(([x, y]) => `${x} ${y}`).join('L')}${closed ? 'Z' : ''}`;

/** Path of shares of a picture that is `tall` times as high as wide; empty of no place. */
export const pathIn = (points: readonly Place[], tall: number, closed = false): string =>
  points.length === 0
    ? ''
    : pathOf(
        points.map(([x, y]) => [x, y * tall] as const),
        closed,
      );

interface Props {
  readonly marks: readonly { readonly mark: Pick<Mark, 'kind' | 'points'>; readonly number: number }[];
  /** Height of the picture, in widths. */
  readonly tall: number;
  /** How many times as large they are drawn, where the picture is small. */
  readonly size?: number;
}

export function DrawnMarks({ marks, tall, size = 1 }: Props) {
  const { head } = sizesAt(size);
  return (
    <>
      {marks.map(({ mark, number }) => {
        const {
          strokes,
          label: [x, y],
        } = drawnMark(mark, tall, size);
        return (
          <g key={number}>
            {strokes.map(({ points, closed }, k) => (
              <g key={k}>
                {onAnyGround(
                  (line) => (
                    <path d={pathOf(points, closed)} strokeLinecap="round" strokeLinejoin="round" {...line} />
                  ),
                  2,
                )}
              </g>
            ))}
            <circle cx={x} cy={y} r={head} fill="#f6f6f6" stroke="#1b1b1b" strokeWidth={0.002} />
            <text
              x={x}
              y={y}
              fontSize={1.4 * head}
              fontWeight={600}
              fill="#1b1b1b"
              textAnchor="middle"
              dominantBaseline="central"
            >
              {number}
            </text>
          </g>
        );
      })}
    </>
  );
}
