'use client';
/** Four corners on a photograph, dragged by mouse or finger or moved by keys, with a magnifier over the one in hand. */
import { useRef, useState } from 'react';

export interface Mark {
  readonly x: number;
  readonly y: number;
}

interface Props {
  /** Address of the picture. */
  readonly source: string;
  readonly alt: string;
  /** Fractions of the picture: top left, top right, bottom right, bottom left. */
  readonly marks: readonly Mark[];
  readonly onChange: (marks: readonly Mark[]) => void;
}

const NAMES = ['Top left corner', 'Top right corner', 'Bottom right corner', 'Bottom left corner'] as const;
export const FIRST_MARKS: readonly Mark[] = [
  { x: 0.15, y: 0.3 },
  { x: 0.85, y: 0.3 },
  { x: 0.85, y: 0.7 },
  { x: 0.15, y: 0.7 },
];
/** One press of a key, and one with Shift, as shares of the picture. */
const STEP = { fine: 0.001, coarse: 0.01 } as const;
const GLASS_PX = 112;
const MAGNIFY = 4;
const KEYS: Record<string, readonly [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};
const held = (v: number): number => Math.min(1, Math.max(0, v));

export function MarkCorners({ source, alt, marks, onChange }: Props) {
  const [inHand, setInHand] = useState<number | null>(null);
  const [size, setSize] = useState({ width: 0, height: 0 });
  const frame = useRef<HTMLDivElement>(null);

  const move = (i: number, mark: Mark) =>
    onChange(marks.map((m, k) => (k === i ? { x: held(mark.x), y: held(mark.y) } : m)));
  const at = (e: React.PointerEvent): Mark => {
    const box = frame.current?.getBoundingClientRect();
    return box ? { x: (e.clientX - box.left) / box.width, y: (e.clientY - box.top) / box.height } : { x: 0, y: 0 };
  };
  const shown = inHand === null ? null : (marks[inHand] ?? null);
  const take = (i: number) => {
    const box = frame.current?.getBoundingClientRect();
    if (box) setSize({ width: box.width, height: box.height });
    setInHand(i);
  };

  return (
    <div ref={frame} className="relative touch-none select-none">
      {source && <img src={source} alt={alt} className="block w-full" draggable={false} />}
      <svg
        viewBox="0 0 1 1"
        preserveAspectRatio="none"
        aria-hidden
        className="pointer-events-none absolute inset-0 h-full w-full"
      >
        <polygon
          points={marks.map((m) => `${m.x},${m.y}`).join(' ')}
          fill="none"
          stroke="#fff"
          strokeWidth={3}
          vectorEffect="non-scaling-stroke"
        />
        <polygon
          points={marks.map((m) => `${m.x},${m.y}`).join(' ')}
          fill="none"
          stroke="#111"
          strokeWidth={1}
          vectorEffect="non-scaling-stroke"
        />
      </svg>
      {marks.map((m, i) => (
        <button
          key={NAMES[i]}
          type="button"
          role="slider"
          aria-label={NAMES[i]}
          aria-valuenow={Math.round(100 * m.x)}
          aria-valuetext={`${(100 * m.x).toFixed(1)} percent across, ${(100 * m.y).toFixed(1)} percent down`}
          className="absolute h-11 w-11 -translate-x-1/2 -translate-y-1/2 cursor-move touch-none rounded-full"
          style={{ left: `${100 * m.x}%`, top: `${100 * m.y}%` }}
          onPointerDown={(e) => {
            e.currentTarget.setPointerCapture(e.pointerId);
            take(i);
          }}
          onPointerMove={(e) => inHand === i && e.currentTarget.hasPointerCapture(e.pointerId) && move(i, at(e))}
          onPointerUp={() => setInHand(null)}
          onPointerCancel={() => setInHand(null)}
          onFocus={() => take(i)}
          onBlur={() => setInHand(null)}
          onKeyDown={(e) => {
            const way = KEYS[e.key];
            if (!way) return;
            e.preventDefault();
            const step = e.shiftKey ? STEP.coarse : STEP.fine;
            take(i);
            move(i, { x: m.x + way[0] * step, y: m.y + way[1] * step });
          }}
        >
          <span
            aria-hidden
            className="mx-auto block h-4 w-4 rotate-45 border-2 border-l10 bg-l97/60 outline outline-1 outline-l97"
          />
        </button>
      ))}
      {shown && (
        <div
          aria-hidden
          className="pointer-events-none absolute overflow-hidden rounded-full border-2 border-l10 outline outline-2 outline-l97"
          style={{
            width: GLASS_PX,
            height: GLASS_PX,
            left: shown.x < 0.5 ? undefined : 8,
            right: shown.x < 0.5 ? 8 : undefined,
            top: 8,
            backgroundImage: `url(${source})`,
            backgroundSize: `${size.width * MAGNIFY}px ${size.height * MAGNIFY}px`,
            backgroundPosition: `${GLASS_PX / 2 - shown.x * size.width * MAGNIFY}px ${GLASS_PX / 2 - shown.y * size.height * MAGNIFY}px`,
          }}
        >
          <span className="absolute left-1/2 top-0 h-full w-px bg-l97 outline outline-1 outline-l10" />
          <span className="absolute left-0 top-1/2 h-px w-full bg-l97 outline outline-1 outline-l10" />
        </div>
      )}
    </div>
  );
}
