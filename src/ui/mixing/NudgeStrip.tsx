'use client';
/** "I have this, I want that": a ramp with the steps on it and a mark to drag to what is on the palette. */
import { type PaintId, PAINTS } from '@/core/exercise/paints';
import { nudge } from '@/core/mixing/nudge';
import { sayNudge } from '@/core/mixing/nudge-words';
import type { PaintModel } from '@/core/mixing/paint-model';
import type { SurfaceId } from '@/core/mixing/surface';
import { useRef, useState } from 'react';
import { cssGrey } from '../parts/grey';

interface Props {
  readonly step: number;
  readonly targets: readonly number[];
  readonly labels: readonly string[];
  readonly light: PaintId;
  readonly dark: PaintId;
  readonly models: readonly [PaintModel, PaintModel];
  readonly surface: SurfaceId;
}

const RAMP = `linear-gradient(to right, ${Array.from({ length: 21 }, (_, i) => cssGrey(5 * i)).join(', ')})`;

export function NudgeStrip({ step, targets, labels, light, dark, models, surface }: Props) {
  const [had, setHad] = useState(60);
  const frame = useRef(0);
  const name = labels[step - 1] ?? String(step);
  const at = (e: React.PointerEvent<HTMLDivElement>) => {
    const box = e.currentTarget.getBoundingClientRect();
    const { clientX } = e;
    cancelAnimationFrame(frame.current);
    frame.current = requestAnimationFrame(() =>
      setHad(Math.min(100, Math.max(0, (100 * (clientX - box.left)) / box.width))),
    );
  };
  const told = nudge(had, step, targets, models[0], models[1], surface);
  return (
    <div>
      <p className="mb-2">
        I have <strong>L* {had.toFixed(0)}</strong> (dry) and want <strong>{name}</strong>.
      </p>
      <div
        className="relative h-12 touch-none"
        style={{ background: RAMP }}
        onPointerDown={(e) => {
          e.currentTarget.setPointerCapture(e.pointerId);
          at(e);
        }}
        onPointerMove={(e) => e.buttons > 0 && at(e)}
      >
        {targets.map((t, i) => (
          <span
            key={i}
            className={`absolute bottom-0 w-1 -translate-x-1/2 ${i === step - 1 ? 'h-6 bg-l10 outline-2 outline-l97' : 'h-3 bg-l97 outline-1 outline-l10'}`}
            style={{ left: `${t}%` }}
            aria-hidden
          />
        ))}
        <div
          role="slider"
          tabIndex={0}
          aria-label="What I have on the palette"
          aria-valuemin={0}
          aria-valuemax={100}
          aria-valuenow={Math.round(had)}
          className="absolute inset-y-0 w-6 -translate-x-1/2 cursor-ew-resize rounded-sm border-2 border-l97 outline-2 outline-l10"
          style={{ left: `${had}%`, background: cssGrey(had) }}
          onKeyDown={(e) => {
            const by = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }[e.key];
            if (by === undefined) return;
            e.preventDefault();
            setHad((h) => Math.min(100, Math.max(0, h + by)));
          }}
        />
      </div>
      <p className="mt-3 text-18" aria-live="polite">
        {sayNudge(told, {
          step: name,
          light: PAINTS[light].name,
          dark: PAINTS[dark].name,
          other: told.useFor === null ? null : (labels[told.useFor - 1] ?? String(told.useFor)),
          labels,
        })}
      </p>
    </div>
  );
}
