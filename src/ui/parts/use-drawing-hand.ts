'use client';
/** The hand that draws on a picture: a stroke follows the pointer, or a cross the arrow keys. Places are shares of the picture. */
import { type KeyboardEvent, type PointerEvent, useRef, useState } from 'react';

export type Place = readonly [x: number, y: number];
export type Points = [number, number][];

/** How far an arrow key moves the cross, shares of the picture; with Shift and without. */
const STEP = { wide: 0.05, fine: 0.01 } as const;
const WAYS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

const within = (v: number) => Math.min(1, Math.max(0, v));

interface Hand {
  readonly frozen: boolean;
  /** Whether a press is all there is to draw. */
  readonly isPlace: boolean;
  /** So many places finish what is drawn by keys; otherwise F does, from `fewest` on. */
  readonly full: number;
  readonly fewest: number;
  /** Shows what is drawn so far, without the page being worked out anew for it; nothing at its end. */
  readonly show: (points: Points) => void;
  readonly onDrawn: (points: Points) => void;
  /** The last thing is to be taken back. */
  readonly onBack: () => void;
  readonly onLeave: () => void;
  /** A number key. */
  readonly onNumber: (number: number) => void;
}

export function useDrawingHand({ frozen, isPlace, full, fewest, show, onDrawn, onBack, onLeave, onNumber }: Hand) {
  const [cross, setCross] = useState<Place>([0.5, 0.5]);
  /** Places that were set by keys. */
  const [set, setSet] = useState<Points>([]);
  const drawing = useRef<Points | null>(null);

  const placeOf = (e: PointerEvent): [number, number] => {
    const box = e.currentTarget.getBoundingClientRect();
    return [(e.clientX - box.left) / box.width, (e.clientY - box.top) / box.height];
  };
  const finish = (points: Points) => {
    drawing.current = null;
    setSet([]);
    show([]);
    if (points.length > 0) onDrawn(points);
  };
  const onPointerDown = (e: PointerEvent) => {
    if (frozen || e.button !== 0) return;
    e.currentTarget.setPointerCapture(e.pointerId);
    drawing.current = [placeOf(e)];
  };
  const onPointerMove = (e: PointerEvent) => {
    if (!drawing.current || isPlace) return;
    drawing.current.push(placeOf(e));
    show(drawing.current);
  };
  const onPointerUp = (e: PointerEvent) => {
    if (drawing.current) finish(isPlace ? [placeOf(e)] : drawing.current);
  };
  const onKeyDown = (e: KeyboardEvent) => {
    const way = WAYS[e.key];
    if (way) {
      const by = e.shiftKey ? STEP.wide : STEP.fine;
      setCross([within(cross[0] + by * way[0]), within(cross[1] + by * way[1])]);
    } else if (e.key === 'Escape') onLeave();
    else if (frozen) return;
    else if (e.key === 'Enter') {
      const points: Points = [...set, [cross[0], cross[1]]];
      if (points.length >= full) finish(points);
      else setSet(points);
    } else if (e.key === 'f' && set.length >= fewest) finish(set);
    else if (e.key === 'Backspace') {
      if (set.length > 0) setSet(set.slice(0, -1));
      else onBack();
    } else if (/^[1-9]$/.test(e.key)) onNumber(Number(e.key));
    else return;
    e.preventDefault();
    e.stopPropagation();
  };
  return {
    cross,
    set,
    handlers: { onPointerDown, onPointerMove, onPointerUp, onPointerCancel: () => finish([]), onKeyDown },
  };
}
