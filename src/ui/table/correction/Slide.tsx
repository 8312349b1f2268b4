'use client';
/** A slider that the picture follows while it is dragged, and that is kept where it is let go. */
import { useEffect, useRef } from 'react';

/** Keys that follow one another this soon, ms, are one move of the slider. */
const PAUSE_MS = 500;

interface Props {
  readonly label: string;
  /** What it stands at, in words. */
  readonly says: string;
  readonly value: number;
  readonly min: number;
  readonly max: number;
  readonly step: number;
  readonly disabled: boolean;
  readonly follow: (value: number) => void;
  readonly keep: () => void;
}

export function Slide({ label, says, value, min, max, step, disabled, follow, keep }: Props) {
  const moved = useRef(false);
  const latest = useRef(keep);
  const pause = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
  useEffect(() => {
    latest.current = keep;
  });
  const letGo = () => {
    clearTimeout(pause.current);
    if (!moved.current) return;
    moved.current = false;
    latest.current();
  };
  const letGoSoon = () => {
    clearTimeout(pause.current);
    pause.current = setTimeout(letGo, PAUSE_MS);
  };
  return (
    <label className="grid gap-0.5">
      <span className="flex justify-between gap-2 text-13">
        <span>{label}</span>
        <span className="tabular-nums">{says}</span>
      </span>
      <input
        type="range"
        className="w-full accent-ink"
        {...{ min, max, step, value, disabled }}
        aria-valuetext={says}
        onChange={(e) => {
          moved.current = true;
          follow(Number(e.target.value));
        }}
        onPointerUp={letGo}
        onKeyUp={letGoSoon}
        onBlur={letGo}
      />
    </label>
  );
}
