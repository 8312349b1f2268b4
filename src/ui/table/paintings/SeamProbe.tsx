'use client';
/**
 * A round piece of one picture laid into the other, on the same places: where a value is right the seam disappears. It follows
 * the pointer, and moves by the arrow keys.
 */
import { type KeyboardEvent, useState } from 'react';
import { type Picture, TwoPictures, WHOLE } from '../../parts/TwoPictures';
import { squinted } from '../PaintingView';

interface Props {
  readonly piece: Picture;
  readonly ground: Picture;
  readonly squint: boolean;
}

/** Percent of the picture: how far a key moves the piece, and how wide it can be. */
const STEP = 2;
const WIDTHS = { least: 2, usual: 8, most: 30 };

const WAYS: Partial<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-STEP, 0],
  ArrowRight: [STEP, 0],
  ArrowUp: [0, -STEP],
  ArrowDown: [0, STEP],
};
const within = (v: number) => Math.min(100, Math.max(0, v));

export function SeamProbe({ piece, ground, squint }: Props) {
  const [at, setAt] = useState({ x: 50, y: 50 });
  const [width, setWidth] = useState(WIDTHS.usual);
  const press = (e: KeyboardEvent) => {
    const way = WAYS[e.key];
    if (!way) return;
    // Here they move the piece; elsewhere on the Table they turn to the next hand-in.
    e.preventDefault();
    e.stopPropagation();
    setAt(({ x, y }) => ({ x: within(x + way[0]), y: within(y + way[1]) }));
  };
  return (
    <div className={WHOLE}>
      <div
        role="group"
        aria-label="The piece that is laid in: arrow keys move it"
        data-at={`${at.x} ${at.y}`}
        tabIndex={0}
        className="relative cursor-crosshair touch-none overflow-hidden"
        onKeyDown={press}
        onPointerMove={(e) => {
          const box = e.currentTarget.getBoundingClientRect();
          setAt({
            x: within((100 * (e.clientX - box.left)) / box.width),
            y: within((100 * (e.clientY - box.top)) / box.height),
          });
        }}
      >
        <TwoPictures
          under={ground}
          over={piece}
          seen={`circle(${width}% at ${at.x}% ${at.y}%)`}
          look={squinted(squint)}
        />
      </div>
      <input
        type="range"
        aria-label="How wide the piece is"
        className="mt-2 w-full accent-l20"
        min={WIDTHS.least}
        max={WIDTHS.most}
        value={width}
        onChange={(e) => setWidth(Number(e.target.value))}
      />
    </div>
  );
}
