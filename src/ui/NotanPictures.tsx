'use client';
/** A painting in few tones beside its reference: edge to edge, one over the other, squinted, in its tones; what disagrees is outlined on both. */
import type { NotanResult } from '@/core/notan/result';
import { cssGrey } from './grey';

interface Props {
  readonly attemptId: string;
  readonly hasStrip: boolean;
  readonly result: NotanResult;
  /** Greys that the exercise's tones are painted in, L*, and what the class calls them, the lightest first. */
  readonly greys: readonly number[];
  readonly labels: readonly string[];
  readonly squint: boolean;
  /** The reference in place of the painting, half over it, and the painting's tones in place of its paint. */
  readonly swap: boolean;
  readonly over: boolean;
  readonly tones: boolean;
  /** Region that is lit up, by its place in the result; null for none. */
  readonly lit: number | null;
  readonly onPick: (region: number) => void;
}

const percent = (v: number) => `${Math.round(100 * v)} %`;

/** Rings round what disagrees. Those on the painting lie where it has them, which may be a little off. */
function Outlines({ result, lit, shifted, onPick }: { readonly result: NotanResult; readonly lit: number | null; readonly shifted: boolean; readonly onPick: (region: number) => void }) {
  const { x, y } = shifted ? (result.shift ?? { x: 0, y: 0 }) : { x: 0, y: 0 };
  return (
    <svg viewBox="0 0 1 1" preserveAspectRatio="none" className="absolute inset-0 h-full w-full" aria-hidden>
      {result.regions.map((region, k) => {
        const d = (region.outline ?? []).map((ring) => `M${ring.map(([u, v]) => `${u + x} ${v + y}`).join('L')}Z`).join('');
        const wide = lit === k ? 2 : 0;
        return (
          <g key={k} className="cursor-pointer" onClick={() => onPick(k)}>
            <path d={d} fill="#777" fillOpacity={0.01} fillRule="evenodd" />
            <path d={d} fill="none" stroke="#f6f6f6" strokeWidth={3 + 2 * wide} vectorEffect="non-scaling-stroke" />
            <path d={d} fill="none" stroke="#1b1b1b" strokeWidth={1.2 + wide} strokeDasharray={lit === k ? undefined : '5 4'} vectorEffect="non-scaling-stroke" />
          </g>
        );
      })}
    </svg>
  );
}

/** Shares of the tones, as a bar of their greys. */
function Shares({ name, shares, greys, labels }: { readonly name: string; readonly shares: readonly number[]; readonly greys: readonly number[]; readonly labels: readonly string[] }) {
  return (
    <div className="grid grid-cols-[5rem_1fr] items-center gap-2">
      <span className="text-13">{name}</span>
      <div className="flex h-9" role="img" aria-label={`${name}: ${shares.map((s, k) => `${labels[k]} ${percent(s)}`).join(', ')}`}>
        {shares.map((s, k) => (
          <span key={k} className="flex items-center justify-center overflow-hidden text-13" style={{ width: `${100 * s}%`, background: cssGrey(greys[k] ?? 50), color: (greys[k] ?? 50) > 55 ? '#1b1b1b' : '#f6f6f6' }}>
            {s > 0.06 && `${labels[k]}: ${percent(s)}`}
          </span>
        ))}
      </div>
    </div>
  );
}

export function NotanPictures({ attemptId, hasStrip, result, greys, labels, squint, swap, over, tones, lit, onPick }: Props) {
  const blur = squint ? { filter: 'url(#squint)' } : undefined;
  const painting = tones ? `/tones/${attemptId}/drawn` : `/picture/${attemptId}/strip`;
  const wanted = `/tones/${attemptId}/wanted`;
  return (
    <div className="flex min-h-0 flex-1 flex-col justify-center gap-3 p-3">
      <svg width={0} height={0} aria-hidden className="absolute">
        {/* Squinting fuses light, not codes: the blur works on linear values. */}
        <filter id="squint" colorInterpolationFilters="linearRGB" x="0" y="0" width="1" height="1">
          <feGaussianBlur stdDeviation="9" edgeMode="duplicate" />
        </filter>
      </svg>
      <div className="grid grid-cols-2 overflow-hidden">
        <figure className="relative m-0">
          {hasStrip || tones || swap ? <img src={swap ? wanted : painting} alt={swap ? 'The reference, in place of the painting' : tones ? 'The painting in its tones' : 'The painting, straightened'} className="block w-full" style={blur} /> : <div className="flex aspect-[6/5] items-center justify-center bg-l70">The straightened picture is being made …</div>}
          {over && <img src={wanted} alt="" className="absolute inset-0 h-full w-full opacity-50" style={blur} />}
          {!squint && !swap && <Outlines result={result} lit={lit} shifted onPick={onPick} />}
        </figure>
        <figure className="relative m-0">
          <img src={swap && (hasStrip || tones) ? painting : wanted} alt={swap ? 'The painting, in place of the reference' : 'The reference in its tones'} className="block w-full" style={blur} />
          {!squint && !swap && <Outlines result={result} lit={lit} shifted={false} onPick={onPick} />}
        </figure>
      </div>
      <div className="grid gap-1 rounded-sm bg-l93 p-2">
        <Shares name="painted" shares={result.tones.map((t) => t.share)} greys={result.tones.map((t, k) => t.lightness ?? greys[k] ?? 50)} labels={labels} />
        <Shares name="wanted" shares={result.tones.map((t) => t.referenceShare)} greys={greys} labels={labels} />
      </div>
    </div>
  );
}
