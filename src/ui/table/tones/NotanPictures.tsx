'use client';
/** A painting in few tones beside its reference: edge to edge, one over the other, squinted, in its tones; what disagrees is outlined on both. */
import type { Finding } from '@/core/critique/finding';
import type { NotanResult } from '@/core/notan/result';
import { PaintingView, squinted, SquintFilter } from '../PaintingView';
import { RegionOutlines } from '../RegionOutlines';
import { ToneShares } from './ToneShares';

export interface NotanView {
  readonly attemptId: string;
  readonly hasStrip: boolean;
  readonly result: NotanResult;
  /** Greys that the exercise's tones are painted in, L*, and what the class calls them, the lightest first. */
  readonly greys: readonly number[];
  readonly labels: readonly string[];
  readonly squint: boolean;
  /** The painting's tones in place of its paint. */
  readonly tones: boolean;
  /** Region that is lit up, by its place in the result, and a part that is lit up and is no region. */
  readonly lit: number | null;
  readonly box: Finding['where']['box'];
  readonly onPick: (region: number) => void;
}

interface Props extends NotanView {
  /** The reference in place of the painting, and half over it. */
  readonly swap: boolean;
  readonly over: boolean;
}

const STILL = { x: 0, y: 0 };

export function NotanPictures({
  attemptId,
  hasStrip,
  result,
  greys,
  labels,
  squint,
  swap,
  over,
  tones,
  lit,
  box,
  onPick,
}: Props) {
  const wanted = `/tones/${attemptId}/wanted`;
  const reference = (alt: string) => <img src={wanted} alt={alt} className="block w-full" style={squinted(squint)} />;
  const painting = (alt: string) => (
    <PaintingView
      attemptId={attemptId}
      hasStrip={hasStrip}
      frame={result.frame}
      tones={tones}
      squint={squint}
      alt={alt}
    />
  );
  const outlines = (shift: { x: number; y: number }) =>
    !squint && !swap && <RegionOutlines regions={result.regions} shift={shift} lit={lit} box={box} onPick={onPick} />;
  return (
    <div className="flex min-h-0 flex-1 flex-col justify-center gap-3 p-3">
      <SquintFilter />
      <div className="grid grid-cols-2 overflow-hidden">
        <figure className="relative m-0">
          {swap
            ? reference('The reference, in place of the painting')
            : painting(tones ? 'The painting in its tones' : 'The painting, straightened')}
          {over && (
            <img src={wanted} alt="" className="absolute inset-0 h-full w-full opacity-50" style={squinted(squint)} />
          )}
          {outlines(result.shift ?? STILL)}
        </figure>
        <figure className="relative m-0">
          {swap ? painting('The painting, in place of the reference') : reference('The reference in its tones')}
          {outlines(STILL)}
        </figure>
      </div>
      <div className="grid gap-1 rounded-sm bg-l93 p-2">
        <ToneShares
          name="painted"
          shares={result.tones.map((t) => t.share)}
          greys={result.tones.map((t, k) => t.lightness ?? greys[k] ?? 50)}
          labels={labels}
        />
        <ToneShares
          name="wanted"
          shares={result.tones.map((t) => t.referenceShare ?? 0)}
          greys={greys}
          labels={labels}
        />
      </div>
    </div>
  );
}
