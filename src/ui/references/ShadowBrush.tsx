'use client';
/** The surface on which the map of light and shadow is corrected: strokes of a round brush, and whole shapes by a click. */
import { useEffect, useRef, useState } from 'react';
import { Layer, Line, Stage } from 'react-konva';
import type { ShadowEdit, Side } from '@/core/reference/shadow-map';

export type Tool = Side | 'whole-shape';

interface Props {
  readonly tool: Tool;
  /** Width of the brush, share of the longer side. */
  readonly brush: number;
  readonly onStroke: (edit: ShadowEdit) => void;
  readonly onShape: (x: number, y: number) => void;
}

/** Places nearer than this (share of the width) to the last one add nothing. */
const NEAR = 0.002;

export default function ShadowBrush({ tool, brush, onStroke, onShape }: Props) {
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
    if (tool !== 'whole-shape' && points.length >= 2) {
      // A dab is a stroke that goes nowhere.
      const whole = points.length === 2 ? [...points, ...points] : points;
      onStroke({ kind: 'stroke', to: tool, width: brush, points: whole.map((v, k) => held(k % 2 === 0 ? v / width : v / height)) });
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
            if (tool === 'whole-shape') return onShape(held(at.x / width), held(at.y / height));
            drawing.current = true;
            setPoints([at.x, at.y]);
          }}
          onPointerMove={(e) => {
            const at = drawing.current ? e.target.getStage()?.getPointerPosition() : null;
            if (at) setPoints((p) => (Math.hypot(at.x - (p.at(-2) ?? 0), at.y - (p.at(-1) ?? 0)) < NEAR * width ? p : [...p, at.x, at.y]));
          }}
          onPointerUp={finish}
          onPointerLeave={finish}
        >
          <Layer listening={false}>
            {points.length > 0 && <Line points={points.length === 2 ? [...points, ...points] : points} stroke={tool === 'light' ? '#ebebeb' : '#262626'} strokeWidth={brush * Math.max(width, height)} lineCap="round" lineJoin="round" />}
          </Layer>
        </Stage>
      )}
    </div>
  );
}
