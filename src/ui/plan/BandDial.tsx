'use client';
/** A banded picture with its light to drag: guides for thirds, and how far the light is from the nearest crossing. */
import { BAND_FRAME, nearestThird } from '@/core/bands/band-picture';
import { DoesNotFit, sketchMotif, type Sketch } from '@/core/bands/motifs';
import type { Shape } from '@/core/bands/shapes';
import type { TermsOf } from '@/core/exercise/terms';
import { valuesOf } from '@/core/kinds/table';
import { useMemo, useRef, useState } from 'react';
import { cssGrey } from '../parts/grey';

const { widthMm, heightMm } = BAND_FRAME;
const KEY_STEP = 0.01;
type Lamp = TermsOf<'bands'>['lamp'];

const path = (shape: Shape) =>
  shape
    .flat()
    .map((ring) => `M${ring.map(([x, y]) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}z`)
    .join('');
const within = (v: number) => Math.min(0.95, Math.max(0.05, v));

function sketch(terms: TermsOf<'bands'>, lamp: Lamp): Sketch | string {
  try {
    return sketchMotif(terms.motif, { frame: BAND_FRAME, bands: terms.steps, brushMm: terms.brushMm, lamp });
  } catch (error) {
    if (error instanceof DoesNotFit) return error.message;
    throw error;
  }
}

export function BandDial({ terms, onLamp }: { terms: TermsOf<'bands'>; onLamp: (lamp: Lamp) => void }) {
  const [dragged, setDragged] = useState<Lamp | null>(null);
  const svg = useRef<SVGSVGElement>(null);
  const frame = useRef(0);
  const lamp = dragged ?? terms.lamp;
  const drawn = useMemo(() => sketch(terms, lamp), [terms, lamp]);
  const greys = [...valuesOf(terms)].sort((a, b) => b - a);
  const third = nearestThird(BAND_FRAME, lamp);
  const moves = terms.motif !== 'ranges';

  const at = (e: React.PointerEvent): Lamp => {
    const box = svg.current?.getBoundingClientRect();
    if (!box) return lamp;
    return { x: within((e.clientX - box.left) / box.width), y: within((e.clientY - box.top) / box.height) };
  };
  return (
    <figure className="m-0">
      <svg
        ref={svg}
        viewBox={`0 0 ${widthMm} ${heightMm}`}
        className="block aspect-[6/5] w-full touch-none overflow-hidden bg-l97"
        aria-label="The banded picture"
      >
        {typeof drawn !== 'string' && (
          <>
            {drawn.layers.map(({ band, shape }) => (
              <path key={band} d={path(shape)} fill={cssGrey(greys[band - 1] ?? 50)} />
            ))}
            {terms.silhouettes === 'drawn' && <path d={path(drawn.silhouette)} fill={cssGrey(greys.at(-1) ?? 20)} />}
          </>
        )}
        <g
          stroke="var(--color-l97)"
          strokeWidth={0.5}
          strokeDasharray="2 2"
          style={{ mixBlendMode: 'difference' }}
          aria-hidden
        >
          {[1, 2].map((k) => (
            <path key={k} d={`M${(k * widthMm) / 3} 0V${heightMm}M0 ${(k * heightMm) / 3}H${widthMm}`} />
          ))}
        </g>
        {moves && (
          <g
            role="slider"
            tabIndex={0}
            aria-label={terms.motif === 'glow' ? 'Lamp' : 'Far opening'}
            aria-valuenow={Math.round(100 * lamp.x)}
            aria-valuetext={`${Math.round(100 * lamp.x)} % across, ${Math.round(100 * lamp.y)} % down`}
            className="cursor-grab"
            onPointerDown={(e) => {
              e.currentTarget.setPointerCapture(e.pointerId);
              setDragged(at(e));
            }}
            onPointerMove={(e) => {
              if (!dragged) return;
              const next = at(e);
              cancelAnimationFrame(frame.current);
              frame.current = requestAnimationFrame(() => setDragged(next));
            }}
            onPointerUp={(e) => {
              cancelAnimationFrame(frame.current);
              setDragged(null);
              onLamp(at(e));
            }}
            onKeyDown={(e) => {
              const by: Record<string, readonly [number, number]> = {
                ArrowLeft: [-1, 0],
                ArrowRight: [1, 0],
                ArrowUp: [0, -1],
                ArrowDown: [0, 1],
              };
              const step = by[e.key];
              if (!step) return;
              e.preventDefault();
              onLamp({ x: within(lamp.x + KEY_STEP * step[0]), y: within(lamp.y + KEY_STEP * step[1]) });
            }}
          >
            <circle cx={lamp.x * widthMm} cy={lamp.y * heightMm} r={9} fill="transparent" />
            <path
              d={`M${lamp.x * widthMm - 4} ${lamp.y * heightMm}h8m-4 -4v8`}
              stroke="var(--color-l10)"
              strokeWidth={1}
            />
          </g>
        )}
      </svg>
      <figcaption className="quiet mt-1" role={typeof drawn === 'string' ? 'alert' : undefined}>
        {typeof drawn === 'string'
          ? drawn
          : terms.outlines === 'own'
            ? `An example: the sheet has an empty frame${moves ? ' and the cross' : ''}, and they draw their own.`
            : moves
              ? `Drag the cross. It stands ${third.distanceMm.toFixed(0)} mm from the nearest crossing of thirds.`
              : 'Each ridge stands in front of the one above it.'}
      </figcaption>
    </figure>
  );
}
