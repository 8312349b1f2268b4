'use client';
/** How light things were painted against how light they were to be, as a curve beside the line on which both are the same. */
import type { PaintingResult } from '@/core/painting/result';
import { useEffect, useRef } from 'react';

interface Props {
  readonly curve: NonNullable<PaintingResult['overall']>['curve'];
}

export function ValueCurve({ curve }: Props) {
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
      void import('./curve-chart').then(({ drawCurve }) => {
        if (gone) return;
        close = drawCurve(
          place,
          curve.map((p) => [p.target, p.painted] as const),
        );
      });
    });
    room.observe(place);
    return () => {
      gone = true;
      room.disconnect();
      close();
    };
  }, [curve]);
  return (
    <div
      ref={at}
      role="img"
      aria-label="Painted against wanted lightness: the dashed line is where both are the same"
      className="mt-2 h-52 w-full"
    />
  );
}
