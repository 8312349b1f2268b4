'use client';
/** A small chart of lines; what draws it is large, and comes when there is room for it. */
import { useEffect, useRef } from 'react';
import type { LinesShown } from './draw-lines';

interface Props extends LinesShown {
  /** What it shows, for those who can't see it. */
  readonly label: string;
}

export function LineChart({ label, x, y, lines }: Props) {
  const at = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const place = at.current;
    if (!place) return undefined;
    let close = () => {};
    let gone = false;
    // It is folded away at first: nothing is fetched or drawn before there is room for it.
    const room = new ResizeObserver(() => {
      if (place.clientWidth === 0) return;
      room.disconnect();
      void import('./draw-lines').then(({ drawLines }) => {
        if (!gone) close = drawLines(place, { x, y, lines });
      });
    });
    room.observe(place);
    return () => {
      gone = true;
      room.disconnect();
      close();
    };
  }, [x, y, lines]);
  return <div ref={at} role="img" aria-label={label} className="mt-2 h-52 w-full" />;
}
