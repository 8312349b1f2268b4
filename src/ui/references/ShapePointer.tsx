'use client';
/** Presses and lines on the picture of shapes. */
import { useRef, useState } from 'react';
import { onAnyGround } from '../parts/on-any-ground';

interface Place {
  readonly x: number;
  readonly y: number;
}
interface Props {
  readonly lines: boolean;
  readonly names: readonly { readonly name: string; readonly at: Place }[];
  readonly onPress: (at: Place) => void;
  readonly onLine: (from: Place, to: Place) => void;
}

export function ShapePointer({ lines, names, onPress, onLine }: Props) {
  const [line, setLine] = useState<{ from: Place; to: Place } | null>(null);
  const box = useRef<HTMLDivElement>(null);
  const at = (e: React.PointerEvent): Place => {
    const r = box.current?.getBoundingClientRect();
    const held = (v: number) => Math.min(1, Math.max(0, v));
    return r ? { x: held((e.clientX - r.left) / r.width), y: held((e.clientY - r.top) / r.height) } : { x: 0, y: 0 };
  };
  return (
    <div
      ref={box}
      data-shapes
      className="absolute inset-0 cursor-pointer touch-none"
      onPointerDown={(e) => {
        if (!lines) return onPress(at(e));
        e.currentTarget.setPointerCapture(e.pointerId);
        setLine({ from: at(e), to: at(e) });
      }}
      onPointerMove={(e) => line && setLine({ ...line, to: at(e) })}
      onPointerUp={(e) => {
        if (!line) return;
        setLine(null);
        const to = at(e);
        if (Math.hypot(to.x - line.from.x, to.y - line.from.y) > 0.01) onLine(line.from, to);
      }}
      onPointerCancel={() => setLine(null)}
    >
      {names.map((n) => (
        <span
          key={`${n.name} ${n.at.x}`}
          className="pointer-events-none absolute max-w-32 -translate-x-1/2 -translate-y-1/2 truncate rounded-sm bg-l97 px-1 text-13"
          style={{ left: `${100 * n.at.x}%`, top: `${100 * n.at.y}%` }}
        >
          {n.name}
        </span>
      ))}
      {line && (
        <svg viewBox="0 0 1 1" preserveAspectRatio="none" aria-hidden className="absolute inset-0 h-full w-full">
          {onAnyGround(
            (stroke) => (
              <line x1={line.from.x} y1={line.from.y} x2={line.to.x} y2={line.to.y} {...stroke} />
            ),
            2,
          )}
        </svg>
      )}
    </div>
  );
}
