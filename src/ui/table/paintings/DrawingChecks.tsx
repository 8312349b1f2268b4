'use client';
/**
 * Checks of a drawing by marks: along a rim, up an upright, on the corners of a box, on both sides of a thing, along edges. Points
 * are set by a press, or by the arrow keys and Enter; what they say stands below.
 */
import type { Point } from '@/core/geometry/point';
import { type Figure, type MarkKind, MARKS, toldOfMarks } from '@/core/drawing/told';
import { type KeyboardEvent, type PointerEvent, useState } from 'react';
import { squinted } from '../PaintingView';
import type { Picture } from '../../parts/TwoPictures';
import { MarksDrawn } from './MarksDrawn';

interface Props {
  readonly painting: Picture;
  readonly reference: Picture;
  readonly squint: boolean;
}

const NAMES: Record<MarkKind, string> = {
  ellipse: 'Ellipse',
  upright: 'Upright',
  box: 'Box',
  centre: 'Centre',
  edge: 'Edges',
};
const HOW: Record<MarkKind | 'eye', string> = {
  ellipse: 'Press five points or more along a rim, then “Next one” for another.',
  upright: 'Press the foot and the top of something that should stand upright.',
  box: 'Press two opposite corners on the painting, and the same two on the reference.',
  centre: 'Press the left and the right side of one thing at two heights or more.',
  edge: 'Press both ends of edges that should run to one point, three or more.',
  eye: 'Press at the height of the eye.',
};
/** Arrow keys move by so much of the width. */
const STEP = 0.01;
const WAYS: Partial<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-STEP, 0],
  ArrowRight: [STEP, 0],
  ArrowUp: [0, -STEP],
  ArrowDown: [0, STEP],
};

const isDone = ({ kind, points }: Figure): boolean => kind !== 'ellipse' && points.length >= 2;

export default function DrawingChecks({ painting, reference, squint }: Props) {
  const [tool, setTool] = useState<MarkKind | 'eye'>('ellipse');
  const [figures, setFigures] = useState<readonly Figure[]>([]);
  const [eye, setEye] = useState<number | null>(null);
  const [at, setAt] = useState<{ on: Figure['on']; point: Point } | null>(null);

  const mark = (on: Figure['on'], point: Point) => {
    if (tool === 'eye') return setEye(point.y);
    const last = figures.at(-1);
    const goesOn = last && last.kind === tool && last.on === on && !isDone(last);
    return setFigures(
      goesOn
        ? [...figures.slice(0, -1), { ...last, points: [...last.points, point] }]
        : [...figures, { kind: tool, on, points: [point] }],
    );
  };
  const takeBack = () => {
    const last = figures.at(-1);
    if (!last) return;
    const points = last.points.slice(0, -1);
    setFigures([...figures.slice(0, -1), ...(points.length > 0 ? [{ ...last, points }] : [])]);
  };
  const press = (on: Figure['on']) => (e: PointerEvent<HTMLElement>) => {
    const { left, top, width } = e.currentTarget.getBoundingClientRect();
    mark(on, { x: (e.clientX - left) / width, y: (e.clientY - top) / width });
  };
  const keys = (on: Figure['on']) => (e: KeyboardEvent<HTMLElement>) => {
    const now = at?.on === on ? at.point : { x: 0.5, y: 0.4 };
    const way = WAYS[e.key];
    if (!way && e.key !== 'Enter') return;
    // Here they set points; elsewhere on the Table they turn to the next hand-in.
    e.preventDefault();
    e.stopPropagation();
    if (way) setAt({ on, point: { x: now.x + way[0], y: now.y + way[1] } });
    else mark(on, now);
  };
  const told = toldOfMarks(figures, eye);
  const surface = (on: Figure['on'], picture: Picture) => (
    <div
      role="group"
      aria-label={`Marks on the ${on}: arrow keys move, Enter sets a point`}
      tabIndex={0}
      className="relative min-w-0 flex-1 cursor-crosshair touch-none overflow-hidden"
      onPointerDown={press(on)}
      onKeyDown={keys(on)}
    >
      <img {...picture} className="block w-full" draggable={false} style={squinted(squint)} />
      <MarksDrawn figures={figures.filter((f) => f.on === on)} eye={eye} at={at?.on === on ? at.point : null} />
    </div>
  );
  return (
    <div className="flex flex-col gap-2">
      <div role="group" aria-label="What is marked" className="flex flex-wrap justify-center gap-1">
        {MARKS.map((kind) => (
          <button
            key={kind}
            type="button"
            className="choice"
            aria-pressed={tool === kind}
            onClick={() => setTool(kind)}
          >
            {NAMES[kind]}
          </button>
        ))}
        <button type="button" className="choice" aria-pressed={tool === 'eye'} onClick={() => setTool('eye')}>
          Eye level
        </button>
        <button
          type="button"
          className="choice"
          disabled={tool === 'eye'}
          onClick={() => tool !== 'eye' && setFigures([...figures, { kind: tool, on: 'painting', points: [] }])}
        >
          Next one
        </button>
        <button type="button" className="choice" disabled={figures.length === 0} onClick={takeBack}>
          Take back
        </button>
      </div>
      <p className="text-center text-sm">{HOW[tool]}</p>
      <div className="flex">
        {surface('painting', painting)}
        {surface('reference', reference)}
      </div>
      <ul aria-live="polite" aria-label="What the marks say" className="min-h-12 text-center font-semibold">
        {told.map((sentence) => (
          <li key={sentence}>{sentence}</li>
        ))}
      </ul>
    </div>
  );
}
