/** Lines laid over a picture, and where its largest contrast falls. */
import type { ReferenceFacts } from '@/core/reference/facts';
import { onAnyGround } from '../parts/on-any-ground';

export interface GuideChoice {
  readonly thirds: boolean;
  readonly halves: boolean;
  readonly diagonals: boolean;
  readonly contrast: boolean;
  /** Squares along the longer side; 0 for none. */
  readonly grid: number;
}

interface Props {
  readonly choice: GuideChoice;
  readonly proportion: number;
  readonly contrast: ReferenceFacts['contrast'] | null;
}

export function Guides({ choice, proportion, contrast }: Props) {
  const lines: [number, number, number, number][] = [];
  const cross = (at: number) => lines.push([at, 0, at, 1], [0, at, 1, at]);
  if (choice.thirds) [1 / 3, 2 / 3].forEach(cross);
  if (choice.halves) cross(1 / 2);
  if (choice.diagonals) lines.push([0, 0, 1, 1], [1, 0, 0, 1]);
  if (choice.grid > 0) {
    const [columns, rows] =
      proportion >= 1 ? [choice.grid, choice.grid / proportion] : [choice.grid * proportion, choice.grid];
    for (let k = 1; k < columns; k++) lines.push([k / columns, 0, k / columns, 1]);
    for (let k = 1; k < rows; k++) lines.push([0, k / rows, 1, k / rows]);
  }
  return (
    <svg
      viewBox="0 0 1 1"
      preserveAspectRatio="none"
      aria-hidden
      className="pointer-events-none absolute inset-0 h-full w-full"
    >
      {lines.map(([x1, y1, x2, y2], k) => (
        <g key={k}>
          {onAnyGround(
            (line) => (
              <line x1={x1} y1={y1} x2={x2} y2={y2} {...line} />
            ),
            1,
          )}
        </g>
      ))}
      {choice.contrast &&
        contrast &&
        onAnyGround(
          (line) => <ellipse cx={contrast.x} cy={contrast.y} rx={0.03} ry={0.03 * proportion} {...line} />,
          2,
        )}
    </svg>
  );
}
