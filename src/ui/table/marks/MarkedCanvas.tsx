'use client';
/** A picture with its marks, and the hand that draws another: a stroke follows the pointer, or a cross the arrow keys. */
import { drawnMark, type Mark, type MarkKind } from '@/core/critique/marks';
import { type KeyboardEvent, type PointerEvent, useEffect, useRef, useState } from 'react';
import { DrawnMarks, pathOf } from '../../parts/DrawnMarks';
import { onAnyGround } from '../../parts/on-any-ground';

interface Props {
  readonly src: string;
  readonly name: string;
  readonly marks: readonly { readonly mark: Mark; readonly number: number }[];
  readonly kind: MarkKind;
  readonly frozen: boolean;
  /** Another kind, by its place in the list. */
  readonly onKind: (at: number) => void;
  readonly onDrawn: (points: Mark['points']) => void;
  /** The last mark is to be taken back. */
  readonly onBack: () => void;
  readonly onLeave: () => void;
}

type Points = [number, number][];

/** How far an arrow key moves the cross, shares of the picture; with Shift and without. */
const STEP = { wide: 0.05, fine: 0.01 } as const;
const WAYS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};
/** So many places finish a kind by themselves; an outline and a line are finished by F. */
const FULL: Partial<Record<MarkKind, number>> = { pin: 1, arrow: 2 };
const HELP = [
  'Arrow keys move the cross, with Shift in larger steps.',
  'Enter sets a place, F finishes an outline or a line, Backspace takes the last mark back, 1 to 4 choose the kind.',
].join(' ');

const within = (v: number) => Math.min(1, Math.max(0, v));

export function MarkedCanvas({ src, name, marks, kind, frozen, onKind, onDrawn, onBack, onLeave }: Props) {
  const [tall, setTall] = useState<number | null>(null);
  const [cross, setCross] = useState<readonly [number, number]>([0.5, 0.5]);
  const [set, setSet] = useState<Points>([]);
  const board = useRef<SVGSVGElement>(null);
  const stroke = useRef<SVGGElement>(null);
  const drawing = useRef<Points | null>(null);
  useEffect(() => board.current?.focus(), [tall]);

  const placeOf = (e: PointerEvent): [number, number] => {
    const box = e.currentTarget.getBoundingClientRect();
    return [(e.clientX - box.left) / box.width, (e.clientY - box.top) / box.height];
  };
  /** While a stroke is drawn only its path changes: the page is not worked out anew for it. */
  const show = (points: Points) => {
    const [first, last] = [points[0], points.at(-1)];
    const path =
      kind === 'arrow' && first && last && points.length > 1
        ? drawnMark({ kind, points: [first, last] }, tall ?? 1)
            .strokes.map((s) => pathOf(s.points, false))
            .join('')
        : pathOf(
            points.map(([x, y]) => [x, y * (tall ?? 1)] as const),
            false,
          );
    for (const line of stroke.current?.querySelectorAll('path') ?? []) line.setAttribute('d', path);
  };
  const finish = (points: Points) => {
    drawing.current = null;
    setSet([]);
    for (const line of stroke.current?.querySelectorAll('path') ?? []) line.setAttribute('d', '');
    if (points.length > 0) onDrawn(points);
  };
  const down = (e: PointerEvent) => {
    if (frozen || e.button !== 0) return;
    e.currentTarget.setPointerCapture(e.pointerId);
    drawing.current = [placeOf(e)];
  };
  const move = (e: PointerEvent) => {
    if (!drawing.current || kind === 'pin') return;
    drawing.current.push(placeOf(e));
    show(drawing.current);
  };
  const up = (e: PointerEvent) => {
    if (!drawing.current) return;
    finish(kind === 'pin' ? [placeOf(e)] : drawing.current);
  };
  const press = (e: KeyboardEvent) => {
    const way = WAYS[e.key];
    const number = Number(e.key);
    if (way) {
      const by = e.shiftKey ? STEP.wide : STEP.fine;
      setCross([within(cross[0] + by * way[0]), within(cross[1] + by * way[1])]);
    } else if (e.key === 'Escape') onLeave();
    else if (frozen) return;
    else if (e.key === 'Enter') {
      const points: Points = [...set, [cross[0], cross[1]]];
      if (points.length >= (FULL[kind] ?? Infinity)) finish(points);
      else setSet(points);
    } else if (e.key === 'f' && set.length > 1) finish(set);
    else if (e.key === 'Backspace') {
      if (set.length > 0) setSet(set.slice(0, -1));
      else onBack();
    } else if (number >= 1 && number <= 4) onKind(number - 1);
    else return;
    e.preventDefault();
    e.stopPropagation();
  };
  const pending = set.map(([x, y]) => [x, y * (tall ?? 1)] as const);
  return (
    <div className="flex min-h-0 flex-1 items-center justify-center">
      <div className="relative max-h-full max-w-full">
        <img
          src={src}
          alt={name}
          className="block max-h-[calc(100vh-22rem)] max-w-full select-none"
          draggable={false}
          onLoad={(e) => setTall(e.currentTarget.naturalHeight / e.currentTarget.naturalWidth)}
        />
        {tall !== null && (
          <svg
            ref={board}
            viewBox={`0 0 1 ${tall}`}
            className="absolute inset-0 h-full w-full cursor-crosshair touch-none outline-offset-2"
            tabIndex={0}
            role="application"
            aria-label={`Marks on the ${name.toLowerCase()}. ${HELP}`}
            onPointerDown={down}
            onPointerMove={move}
            onPointerUp={up}
            onPointerCancel={() => finish([])}
            onKeyDown={press}
          >
            <DrawnMarks marks={marks} tall={tall} />
            <g ref={stroke}>
              {onAnyGround(
                (line) => (
                  <path d="" strokeLinecap="round" {...line} />
                ),
                2,
              )}
            </g>
            {pending.length > 0 &&
              onAnyGround((line) => <path d={pathOf(pending, false)} strokeLinecap="round" {...line} />, 2)}
            {!frozen &&
              onAnyGround(
                (line) => (
                  <path
                    d={`M${cross[0] - 0.015} ${cross[1] * tall}h.03M${cross[0]} ${cross[1] * tall - 0.015}v.03`}
                    {...line}
                  />
                ),
                1,
              )}
          </svg>
        )}
      </div>
    </div>
  );
}
