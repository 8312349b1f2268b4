'use client';
/** The painting with its correction, drawn by a worker, and the hand that outlines and brushes on it. */
import { type Layer, type MaskEdit } from '@/core/correction/layer';
import type { CorrectionDesk, CorrectionLook, CorrectionShown } from '@/workers/browser/correction-protocol';
import { useEffect, useMemo, useRef } from 'react';
import { Cross } from '../../parts/Cross';
import { pathIn } from '../../parts/DrawnMarks';
import { onAnyGround } from '../../parts/on-any-ground';
import { type Points, useDrawingHand } from '../../parts/use-drawing-hand';
import { usePictureWorker } from '../../parts/use-picture-worker';
import { squinted, SquintFilter } from '../PaintingView';

/** How the next stroke is drawn. */
export const TOOLS = ['outline', 'brush', 'away', 'carry'] as const;
export type Tool = (typeof TOOLS)[number];

interface Props {
  readonly src: string;
  readonly layers: readonly Layer[];
  readonly look: CorrectionLook;
  readonly squint: boolean;
  /** The layer whose mask is outlined; null of none. */
  readonly chosen: Layer | null;
  readonly tool: Tool;
  /** Width of the brush, share of the longer side. */
  readonly brush: number;
  readonly frozen: boolean;
  readonly onStroke: (edit: MaskEdit) => void;
  /** The chosen thing is carried so far, shares of the picture; done where it is let go. */
  readonly onCarry: (dx: number, dy: number, done: boolean) => void;
  readonly onBack: () => void;
  readonly onLeave: () => void;
  readonly onNumber: (number: number) => void;
}

const HELP = [
  'Arrow keys move the cross, with Shift in larger steps; Enter sets a place, F finishes, Backspace takes the last back.',
  '1 to 5 begin another change; Tab leads to what it does.',
].join(' ');
/** A stroke along this is one place. */
const DAB = 1;

const held = (v: number) => Math.min(1, Math.max(0, v));
const inside = (points: Points): Points => points.map(([x, y]) => [held(x), held(y)]);

function editOf(tool: Tool, brush: number, points: Points): MaskEdit | null {
  const all = inside(points);
  if (tool === 'outline') return all.length < 3 ? null : { kind: 'outline', points: all, adds: true };
  const [first] = all;
  const whole = all.length === DAB && first ? [first, first] : all;
  return { kind: 'stroke', width: brush, points: whole.flat(), adds: tool === 'brush' };
}

/** What a mask was drawn with: a thin line round what was taken in, a thinner one along what was gone over or left out. */
function MaskLines({ layer, tall }: { layer: Layer; tall: number }) {
  return (
    <>
      {layer.mask.edits.map((edit, k) => {
        const isRound = edit.kind === 'outline';
        const points = isRound ? edit.points : pairs(edit.points);
        return (
          <g key={k} strokeOpacity={edit.adds ? 1 : 0.6}>
            {onAnyGround(
              (line) => (
                <path d={pathIn(points, tall, isRound)} {...line} />
              ),
              isRound ? 1.5 : 0.5,
            )}
          </g>
        );
      })}
    </>
  );
}
const pairs = (flat: readonly number[]): Points =>
  Array.from({ length: flat.length / 2 }, (_, i) => [flat[2 * i] as number, flat[2 * i + 1] as number]);

export function CorrectionCanvas(props: Props) {
  const { src, layers, look, squint, chosen, tool, brush, frozen, onStroke, onCarry } = props;
  const { canvas, shown, trouble } = usePictureWorker<CorrectionDesk, Asked, CorrectionShown>({
    script: '/workers/correction.js',
    picture: src,
    asked: useMemo(() => ({ layers, look }), [layers, look]),
    open: (own, painting, surface, transfer) => own.open(painting, transfer(surface)),
    show: (own, asked) => own.show(asked.layers, asked.look),
    failed: 'The correction could not be shown here. What you drew is kept; load the page once more.',
  });
  const board = useRef<SVGSVGElement>(null);
  const stroke = useRef<SVGGElement>(null);
  const isOpen = shown !== null;
  useEffect(() => {
    if (isOpen) board.current?.focus();
  }, [isOpen]);
  const tall = shown ? shown.height / shown.width : 1;
  const isCarrying = tool === 'carry';
  const [wide, line] = tool === 'outline' || isCarrying ? [null, 2] : [brush, 2];

  const carriedBy = (points: Points) => {
    const [from, to] = [points[0], points.at(-1)];
    return from && to ? ([to[0] - from[0], to[1] - from[1]] as const) : null;
  };
  const { cross, set, handlers } = useDrawingHand({
    frozen,
    isPlace: false,
    full: Infinity,
    fewest: tool === 'outline' ? 3 : isCarrying ? 2 : 1,
    show: (points) => {
      const by = isCarrying && carriedBy(points);
      if (by) return onCarry(by[0], by[1], false);
      const path = isCarrying ? '' : pathIn(points, tall);
      for (const own of stroke.current?.querySelectorAll('path') ?? []) own.setAttribute('d', path);
    },
    onDrawn: (points) => {
      if (isCarrying) {
        const by = carriedBy(points);
        if (by) onCarry(by[0], by[1], true);
        return;
      }
      const edit = editOf(tool, brush, points);
      if (edit) onStroke(edit);
    },
    onBack: props.onBack,
    onLeave: props.onLeave,
    onNumber: props.onNumber,
  });
  return (
    <div className="flex min-h-0 flex-1 flex-col items-center justify-center gap-2">
      <SquintFilter />
      {trouble && (
        <p role="alert" className="trouble">
          {trouble}
        </p>
      )}
      {shown && !shown.covers && (
        <p role="status" className="rounded-sm bg-l93 px-2 text-13">
          The last change covers nothing yet: draw round more of it, or go over it.
        </p>
      )}
      <div className="relative max-h-full max-w-full">
        <canvas
          ref={canvas}
          className="block max-h-[calc(100vh-12rem)] max-w-full"
          style={squinted(squint)}
          role="img"
          aria-label={look.before ? 'The painting as it is' : 'The painting with the correction'}
          data-took={shown?.took.toFixed(1) ?? ''}
        />
        {shown && (
          <svg
            ref={board}
            viewBox={`0 0 1 ${tall}`}
            className={`absolute inset-0 h-full w-full touch-none outline-offset-2 ${isCarrying ? 'cursor-move' : 'cursor-crosshair'}`}
            tabIndex={0}
            role="application"
            aria-label={`The correction. ${HELP}`}
            {...handlers}
          >
            {chosen && !look.before && !isCarrying && <MaskLines layer={chosen} tall={tall} />}
            <g ref={stroke}>
              {wide === null ? (
                onAnyGround((own) => <path d="" strokeLinecap="round" {...own} />, line)
              ) : (
                <path
                  d=""
                  fill="none"
                  stroke="#f6f6f6"
                  strokeOpacity={0.5}
                  strokeWidth={wide * Math.max(1, tall)}
                  strokeLinecap="round"
                  strokeLinejoin="round"
                />
              )}
            </g>
            {set.length > 0 && onAnyGround((own) => <path d={pathIn(set, tall)} strokeLinecap="round" {...own} />, 2)}
            {!frozen && <Cross at={cross} tall={tall} />}
          </svg>
        )}
      </div>
    </div>
  );
}
interface Asked {
  readonly layers: readonly Layer[];
  readonly look: CorrectionLook;
}
