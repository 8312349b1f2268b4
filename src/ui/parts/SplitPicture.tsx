'use client';
/** Two pictures on the same places, one left of a line and the other right of it; the line is dragged, or moved by keys. */
import { type CSSProperties, useState } from 'react';
import { type Picture, TwoPictures, WHOLE } from './TwoPictures';

interface Props {
  /** Left of the line. */
  readonly over: Picture;
  readonly under: Picture;
  readonly look?: CSSProperties | undefined;
}

export function SplitPicture({ over, under, look }: Props) {
  const [at, setAt] = useState(50);
  return (
    <div className={WHOLE}>
      <div
        className="relative cursor-ew-resize touch-none overflow-hidden"
        onPointerDown={(e) => e.currentTarget.setPointerCapture(e.pointerId)}
        onPointerMove={(e) => {
          if (e.buttons !== 1) return;
          const { left, width } = e.currentTarget.getBoundingClientRect();
          setAt(Math.min(100, Math.max(0, (100 * (e.clientX - left)) / width)));
        }}
      >
        <TwoPictures under={under} over={over} seen={`inset(0 ${100 - at}% 0 0)`} look={look} />
      </div>
      <input
        type="range"
        aria-label="Where the line stands"
        className="mt-2 w-full accent-l20"
        min={0}
        max={100}
        value={Math.round(at)}
        onChange={(e) => setAt(Number(e.target.value))}
      />
    </div>
  );
}
