'use client';
/** A painting and what was wanted of it, both in greys on the same places: edge to edge, split along a line, or a piece of one laid into the other. */
import type { Finding } from '@/core/critique/finding';
import type { PaintingResult } from '@/core/painting/result';
import dynamic from 'next/dynamic';
import { preload } from 'react-dom';
import { squinted, SquintFilter } from '../PaintingView';
import { RegionOutlines } from '../RegionOutlines';
import { HeldStill } from './HeldStill';
import { SeamProbe } from './SeamProbe';
import { SplitPicture } from '../../parts/SplitPicture';

export const VIEWS = ['beside', 'split', 'seam', 'still', 'marks'] as const;
export type View = (typeof VIEWS)[number];
const VIEW_NAMES: Record<View, string> = {
  beside: 'Side by side',
  split: 'Split',
  seam: 'A piece laid in',
  still: 'One held still',
  marks: 'Check the drawing',
};

/** Comes when it is wanted: it fits ellipses. */
const DrawingChecks = dynamic(() => import('./DrawingChecks'), { ssr: false });

/** What each of two states is called below it; a painting and its reference are told apart at a glance. */
const STATES = { before: ['As it is now', 'As it was'], first: ['This panel', 'The first panel'] } as const;
const BESIDE = {
  reference: 'The reference, in the values that paint can reach',
  before: 'The painting as it was before',
  first: 'The first panel of the series',
} as const;

interface Props {
  readonly attemptId: string;
  readonly hasStrip: boolean;
  readonly regions: PaintingResult['regions'];
  readonly displacements: PaintingResult['displacements'];
  /** Whether colours are judged too: the reference is then shown in its own beside the paint. */
  readonly coloured: boolean;
  /** What stands beside it. */
  readonly beside: 'reference' | 'before' | 'first';
  readonly view: View;
  readonly onView: (view: View) => void;
  readonly squint: boolean;
  /** The paint as it is, straightened, in place of its greys. */
  readonly paint: boolean;
  /** The reference in place of the painting, half over it, and how they differ in its place. */
  readonly swap: boolean;
  readonly over: boolean;
  readonly difference: boolean;
  /** Region that is lit up, by its place in the result, and a part that is lit up and is no region. */
  readonly lit: number | null;
  readonly box: Finding['where']['box'];
  readonly onPick: (region: number) => void;
}

const STILL = { x: 0, y: 0 };

export function PaintingPictures(props: Props) {
  const {
    attemptId,
    hasStrip,
    regions,
    displacements,
    coloured,
    beside,
    view,
    onView,
    squint,
    paint,
    swap,
    over,
    difference,
    lit,
    box,
    onPick,
  } = props;
  const laid = (which: string) => `/laid/${attemptId}/${which}`;
  const inPaint = paint && hasStrip;
  const painting = {
    src: inPaint ? `/picture/${attemptId}/strip` : laid(difference ? 'difference' : 'drawn'),
    alt: inPaint
      ? 'The painting as it is, straightened'
      : difference
        ? 'How it differs: lighter where it is too light, darker where it is too dark'
        : 'The painting in greys',
  };
  const reference =
    inPaint && coloured
      ? { src: laid('colours'), alt: 'The reference, in its own colours' }
      : { src: laid('wanted'), alt: BESIDE[beside] };
  // A held key shows it at once.
  if (coloured) preload(laid('colours'), { as: 'image' });
  const [first, second] = swap ? [reference, painting] : [painting, reference];
  const outlines = !squint && !swap && (
    <RegionOutlines regions={regions} shift={STILL} lit={lit} box={box} onPick={onPick} />
  );
  const named = beside === 'reference' ? [] : STATES[beside];
  const states = swap ? [...named].reverse() : named;
  const picture = ({ src, alt }: { src: string; alt: string }) => (
    <img src={src} alt={alt} className="block w-full" style={squinted(squint)} />
  );
  return (
    <div className="flex min-h-0 flex-1 flex-col justify-center gap-3 p-3">
      <SquintFilter />
      <div role="group" aria-label="How they are laid" className="flex justify-center gap-1">
        {VIEWS.map((v) => (
          <button key={v} type="button" className="choice" aria-pressed={v === view} onClick={() => onView(v)}>
            {VIEW_NAMES[v]}
          </button>
        ))}
      </div>
      {view === 'split' && <SplitPicture over={first} under={second} look={squinted(squint)} />}
      {view === 'seam' && <SeamProbe piece={second} ground={first} squint={squint} />}
      {view === 'still' && (
        <HeldStill painting={painting} reference={reference} displacements={displacements} squint={squint} />
      )}
      {view === 'marks' && <DrawingChecks painting={painting} reference={reference} squint={squint} />}
      {view === 'beside' && (
        <div className="grid grid-cols-2 overflow-hidden">
          <figure className="relative m-0">
            {picture(first)}
            {over && (
              <img
                src={reference.src}
                alt=""
                className="absolute inset-0 h-full w-full opacity-50"
                style={squinted(squint)}
              />
            )}
            {outlines}
          </figure>
          <figure className="relative m-0">
            {picture(second)}
            {outlines}
          </figure>
          {states.map((state) => (
            <p key={state} className="mt-1 text-center text-sm">
              {state}
            </p>
          ))}
        </div>
      )}
    </div>
  );
}
