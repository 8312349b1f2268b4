/**
 * The value ruler: one ramp from white to black. Targets stand above it, readings below, joined by
 * threads: a level thread is right, a slanting one shows how far and which way, crossing threads are a
 * reversed pair. The width of a reading's mark is its uncertainty.
 */
import { cssGrey } from '../parts/grey';

export interface RulerStep {
  readonly label: string;
  readonly lightness: number;
  readonly target: number;
  readonly uncertainty: number;
  readonly off: boolean;
}

interface Props {
  readonly steps: readonly RulerStep[];
  /** Steps to stand out, 1-based. */
  readonly lit: readonly number[];
  readonly onPick?: (step: number) => void;
}

const W = 900;
const H = 470;
const TOP = 104;
const BOTTOM = 350;
const RAMP_TOP = 196;
const RAMP_HEIGHT = 64;
const SIDE = 24;

export function ValueRuler({ steps, lit, onPick }: Props) {
  const all = steps.flatMap((s) => [s.lightness, s.target]);
  const high = Math.min(100, Math.max(...all) + 3);
  const low = Math.max(0, Math.min(...all) - 3);
  const x = (l: number) => SIDE + ((high - l) / (high - low)) * (W - 2 * SIDE);
  const bars = 216;
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      className="h-full w-full"
      role="img"
      aria-label="Value ruler: targets above, readings below"
    >
      <rect width={W} height={H} fill="var(--color-l93)" />
      {Array.from({ length: bars }, (_, i) => {
        const l = high - ((i + 0.5) / bars) * (high - low);
        const w = (W - 2 * SIDE) / bars;
        return (
          <rect
            key={i}
            x={SIDE + i * w}
            y={RAMP_TOP}
            width={w + 0.5}
            height={RAMP_HEIGHT}
            fill={cssGrey(l)}
            shapeRendering="crispEdges"
          />
        );
      })}
      <text x={SIDE} y={28} fontSize={13} fill="var(--color-l20)">
        wanted
      </text>
      <text x={SIDE} y={H - 18} fontSize={13} fill="var(--color-l20)">
        painted; the bar tells how sure a reading is beside the others
      </text>
      {steps.map((s, i) => {
        const on = lit.includes(i + 1);
        const strong = on || s.off;
        const half = (s.uncertainty / (high - low)) * (W - 2 * SIDE);
        return (
          <g key={i} className={onPick ? 'cursor-pointer' : undefined} onClick={() => onPick?.(i + 1)}>
            <path
              d={`M${x(s.target)} ${TOP}V${RAMP_TOP}L${x(s.lightness)} ${RAMP_TOP + RAMP_HEIGHT}V${BOTTOM}`}
              fill="none"
              stroke={on ? 'var(--color-ink)' : 'var(--color-l10)'}
              strokeWidth={strong ? 2.4 : 1}
            />
            <rect
              x={x(s.target) - 13}
              y={TOP - 38}
              width={26}
              height={36}
              fill={cssGrey(s.target)}
              stroke="var(--color-l37)"
              strokeWidth={0.7}
            />
            <text x={x(s.target)} y={TOP - 44} fontSize={13} textAnchor="middle" fill="var(--color-l10)">
              {s.label}
            </text>
            <rect
              x={x(s.lightness) - half}
              y={BOTTOM + 42}
              width={2 * half}
              height={5}
              fill="var(--color-l37)"
              opacity={0.45}
            />
            <rect
              x={x(s.lightness) - 13}
              y={BOTTOM}
              width={26}
              height={36}
              fill={cssGrey(s.lightness)}
              stroke="var(--color-l10)"
              strokeWidth={strong ? 2 : 0.7}
            />
            <text
              x={x(s.lightness)}
              y={BOTTOM + 64}
              fontSize={13}
              textAnchor="middle"
              fontWeight={strong ? 600 : 400}
              fill="var(--color-l10)"
            >
              {s.label}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
