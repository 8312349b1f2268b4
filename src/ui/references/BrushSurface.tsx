'use client';
/** A surface over a picture that is painted on: strokes of a round brush, and whole shapes by a press. */
import type { Stroke } from '@/core/raster/brush';
import { useEffect, useRef, useState } from 'react';
import { Layer, Line, Stage } from 'react-konva';

interface Props {
  /** Whether a press takes a whole shape; a stroke is painted otherwise. */
  readonly wholeShapes: boolean;
  /** Colour of the stroke while it is painted. */
  readonly colour: string;
  /** Width of the brush, share of the longer side. */
  readonly brush: number;
  readonly onStroke: (stroke: Stroke) => void;
  readonly onShape: (x: number, y: number) => void;
}

/** Places nearer than this (share of the width) to the last one add nothing. */
const NEAR = 0.002;

export default function BrushSurface({ wholeShapes, colour, brush, onStroke, onShape }: Props) {
  const frame = useRef<HTMLDivElement>(null);
  const [size, setSize] = useState({ width: 0, height: 0 });
  const [points, setPoints] = useState<number[]>([]);
  const drawing = useRef(false);

  useEffect(() => {
    const box = frame.current;
    if (!box) return;
    const watch = new ResizeObserver(() => setSize({ width: box.clientWidth, height: box.clientHeight }));
    watch.observe(box);
    return () => watch.disconnect();
  }, []);

  const { width, height } = size;
  const held = (v: number) => Math.min(1, Math.max(0, v));
  const finish = () => {
    if (!drawing.current) return;
    drawing.current = false;
    if (!wholeShapes && points.length >= 2) {
      // A dab is a stroke that goes nowhere.
      const whole = points.length === 2 ? [...points, ...points] : points;
      onStroke({ width: brush, points: whole.map((v, k) => held(k % 2 === 0 ? v / width : v / height)) });
    }
    setPoints([]);
  };
  return (
    <div ref={frame} className="absolute inset-0 cursor-crosshair touch-none" data-brush>
      {width > 0 && (
        <Stage
          width={width}
          height={height}
          onPointerDown={(e) => {
            const at = e.target.getStage()?.getPointerPosition();
            if (!at) return;
            if (wholeShapes) return onShape(held(at.x / width), held(at.y / height));
            drawing.current = true;
            setPoints([at.x, at.y]);
          }}
          onPointerMove={(e) => {
            const at = drawing.current ? e.target.getStage()?.getPointerPosition() : null;
            if (at)
              setPoints((p) =>
                Math.hypot(at.x - (p.at(-2) ?? 0), at.y - (p.at(-1) ?? 0)) < NEAR * width ? p : [...p, at.x, at.y],
              );
          }}
          onPointerUp={finish}
          onPointerLeave={finish}
        >
          <Layer listening={false}>
            {points.length > 0 && (
              <Line
                points={points.length === 2 ? [...points, ...points] : points}
                stroke={colour}
                strokeWidth={brush * Math.max(width, height)}
                lineCap="round"
                lineJoin="round"
              />
            )}
          </Layer>
        </Stage>
      )}
    </div>
  );
}
