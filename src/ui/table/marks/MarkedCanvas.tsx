'use client';
/** A picture with its marks, and the hand that draws another. */
import { drawnMark, type Mark, type MarkKind } from '@/core/critique/marks';
import { useEffect, useRef, useState } from 'react';
import { Cross } from '../../parts/Cross';
import { DrawnMarks, pathIn, pathOf } from '../../parts/DrawnMarks';
import { onAnyGround } from '../../parts/on-any-ground';
import { type Points, useDrawingHand } from '../../parts/use-drawing-hand';

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

/** So many places finish a kind by themselves; an outline and a line are finished by F. */
const FULL: Partial<Record<MarkKind, number>> = { pin: 1, arrow: 2 };
const HELP = [
  'Arrow keys move the cross, with Shift in larger steps.',
  'Enter sets a place, F finishes an outline or a line, Backspace takes the last mark back, 1 to 4 choose the kind.',
].join(' ');

export function MarkedCanvas({ src, name, marks, kind, frozen, onKind, onDrawn, onBack, onLeave }: Props) {
  const [tall, setTall] = useState<number | null>(null);
  const board = useRef<SVGSVGElement>(null);
  const stroke = useRef<SVGGElement>(null);
  useEffect(() => board.current?.focus(), [tall]);

  const high = tall ?? 1;
  const strokesOf = (points: Points): string => {
    const [first, last] = [points[0], points.at(-1)];
    if (kind === 'arrow' && first && last && points.length > 1)
      return drawnMark({ kind, points: [first, last] }, high)
        .strokes.map((s) => pathOf(s.points, false))
        .join('');
    return pathIn(points, high);
  };
  const { cross, set, handlers } = useDrawingHand({
    ...{ frozen, onDrawn, onBack, onLeave },
    isPlace: kind === 'pin',
    full: FULL[kind] ?? Infinity,
    fewest: 2,
    show: (points) => {
      for (const line of stroke.current?.querySelectorAll('path') ?? []) line.setAttribute('d', strokesOf(points));
    },
    onNumber: (number) => number <= 4 && onKind(number - 1),
  });
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
            {...handlers}
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
            {set.length > 0 && onAnyGround((line) => <path d={pathIn(set, high)} strokeLinecap="round" {...line} />, 2)}
            {!frozen && <Cross at={cross} tall={tall} />}
          </svg>
        )}
      </div>
    </div>
  );
}
