/** Marks on a drawing as they are seen: points, the lines between them, and the ellipse through a rim's points. */
import { fittedEllipse } from '@/core/drawing/ellipse';
import type { Figure } from '@/core/drawing/told';
import type { Point } from '@/core/geometry/point';
import { onAnyGround } from '../../parts/on-any-ground';

interface Props {
  readonly figures: readonly Figure[];
  /** Height of the eye, widths down; null where nobody set it. */
  readonly eye: number | null;
  /** Where the keys stand; null where they don't. */
  readonly at: Point | null;
}

const DOT = 0.005;
const CROSS = 0.015;

function Shape({ kind, points }: Figure) {
  const [a, b] = points;
  const ellipse = kind === 'ellipse' ? fittedEllipse(points) : null;
  return (
    <>
      {ellipse &&
        onAnyGround(
          (line) => (
            <ellipse
              cx={ellipse.middle.x}
              cy={ellipse.middle.y}
              rx={ellipse.long}
              ry={ellipse.short}
              transform={`rotate(${ellipse.tilt} ${ellipse.middle.x} ${ellipse.middle.y})`}
              {...line}
            />
          ),
          1.5,
        )}
      {kind !== 'ellipse' &&
        a &&
        b &&
        onAnyGround(
          (line) =>
            kind === 'box' ? (
              <rect
                x={Math.min(a.x, b.x)}
                y={Math.min(a.y, b.y)}
                width={Math.abs(a.x - b.x)}
                height={Math.abs(a.y - b.y)}
                {...line}
              />
            ) : (
              <path d={`M${a.x} ${a.y}L${b.x} ${b.y}`} {...line} />
            ),
          1.5,
        )}
      {points.map((p, k) => (
        <circle key={k} cx={p.x} cy={p.y} r={DOT} fill="#f5f5f5" stroke="#1b1b1b" strokeWidth={0.0015} />
      ))}
    </>
  );
}

export function MarksDrawn({ figures, eye, at }: Props) {
  return (
    // As wide as the picture, one unit across; as high as it comes.
    <svg viewBox="0 0 1 4" className="pointer-events-none absolute left-0 top-0 w-full" aria-hidden>
      {eye !== null && onAnyGround((line) => <path d={`M0 ${eye}L1 ${eye}`} {...line} />, 1)}
      {figures.map((figure, k) => (
        <Shape key={k} {...figure} />
      ))}
      {at &&
        onAnyGround(
          (line) => (
            <path d={`M${at.x - CROSS} ${at.y}H${at.x + CROSS}M${at.x} ${at.y - CROSS}V${at.y + CROSS}`} {...line} />
          ),
          1.5,
        )}
    </svg>
  );
}
