'use client';
/** The picture's own lightnesses with the lines between tones on them: dragged, or moved by keys, with the share of each tone live. */
import { useRef } from 'react';
import { cssGrey } from '../parts/grey';

interface Props {
  readonly histogram: readonly number[];
  /** Rising, L*. */
  readonly thresholds: readonly number[];
  /** Share of each tone and the grey it is painted in, the lightest first. */
  readonly shares: readonly number[];
  readonly greys: readonly number[];
  readonly labels: readonly string[];
  /** Whether the lines part the light alone, and the darkest tone is told otherwise. */
  readonly inLight: boolean;
  /** `moving` while a finger is down. */
  readonly onChange: (thresholds: readonly number[], moving: boolean) => void;
}

const [WIDE, HIGH] = [1000, 100];
/** Lines keep this far apart, L*. */
const APART = 0.5;
const STEP = { fine: 0.5, coarse: 4 } as const;

const outlineOf = (histogram: readonly number[]): string => {
  const floor = HIGH - 14;
  const tops = histogram.map((n, i) => `L${((i + 0.5) * WIDE) / histogram.length} ${floor * (1 - Math.sqrt(n))}`);
  return `M0 ${floor}${tops.join('')}L${WIDE} ${floor}Z`;
};

export function ToneHistogram({ histogram, thresholds, shares, greys, labels, inLight, onChange }: Props) {
  const box = useRef<HTMLDivElement>(null);
  const held = useRef<number | null>(null);
  /** A line can't cross its neighbours: it stops beside them. */
  const moved = (k: number, to: number): number[] => {
    const low = k === 0 ? APART : (thresholds[k - 1] as number) + APART;
    const high = k === thresholds.length - 1 ? 100 - APART : (thresholds[k + 1] as number) - APART;
    return thresholds.map((t, i) => (i === k ? Math.min(high, Math.max(low, to)) : t));
  };
  const at = (e: React.PointerEvent): number => {
    const r = box.current?.getBoundingClientRect();
    return r ? (100 * (e.clientX - r.left)) / r.width : 0;
  };
  const edges = [0, ...thresholds, 100];
  /** Tone of each stretch, from the dark end. */
  const toneFrom = (k: number) => greys.length - 1 - k - (inLight ? 1 : 0);
  return (
    <div className="select-none" role="group" aria-label="Lines between tones, on the picture’s own lightnesses">
      <div ref={box} className="relative h-24 touch-none bg-l97">
        <svg
          viewBox={`0 0 ${WIDE} ${HIGH}`}
          preserveAspectRatio="none"
          className="absolute inset-0 h-full w-full"
          aria-hidden
        >
          {edges.slice(1).map((to, k) => {
            const from = edges[k] as number;
            return (
              <rect
                key={k}
                x={10 * from}
                width={10 * (to - from)}
                y={HIGH - 14}
                height={14}
                fill={cssGrey(greys[toneFrom(k)] ?? 50)}
              />
            );
          })}
          <path d={outlineOf(histogram)} fill="#575757" />
        </svg>
        {thresholds.map((t, k) => (
          <button
            key={k}
            type="button"
            role="slider"
            aria-label={`Line between ${labels[toneFrom(k)] ?? ''} and ${labels[toneFrom(k + 1)] ?? ''}`}
            aria-valuemin={0}
            aria-valuemax={100}
            aria-valuenow={Math.round(t)}
            aria-valuetext={`L* ${t.toFixed(1)}`}
            className="absolute top-0 h-full w-6 -translate-x-1/2 cursor-ew-resize touch-none"
            style={{ left: `${t}%` }}
            onPointerDown={(e) => {
              e.currentTarget.setPointerCapture(e.pointerId);
              held.current = k;
            }}
            onPointerMove={(e) => held.current === k && onChange(moved(k, at(e)), true)}
            onPointerUp={(e) => {
              if (held.current !== k) return;
              held.current = null;
              onChange(moved(k, at(e)), false);
            }}
            onPointerCancel={() => {
              held.current = null;
              onChange(thresholds, false);
            }}
            onKeyDown={(e) => {
              const way =
                e.key === 'ArrowLeft' || e.key === 'ArrowDown'
                  ? -1
                  : e.key === 'ArrowRight' || e.key === 'ArrowUp'
                    ? 1
                    : 0;
              if (way === 0) return;
              e.preventDefault();
              e.stopPropagation();
              onChange(moved(k, t + way * (e.shiftKey ? STEP.coarse : STEP.fine)), false);
            }}
          >
            <span aria-hidden className="mx-auto block h-full w-0.5 bg-l10 outline outline-1 outline-l97" />
            <span
              aria-hidden
              className="absolute left-1/2 top-0 h-3 w-3 -translate-x-1/2 rotate-45 border-2 border-l10 bg-l97"
            />
          </button>
        ))}
      </div>
      <table className="w-full table-fixed text-center text-13">
        <caption className="sr-only">Share of each tone</caption>
        <tbody>
          <tr>
            {[...shares].reverse().map((share, k) => (
              <td key={k}>
                <span className="font-semibold">{labels[labels.length - 1 - k]}</span> {Math.round(100 * share)} %
              </td>
            ))}
          </tr>
        </tbody>
      </table>
    </div>
  );
}
