'use client';
/** Values of a picture: how it is seen, squinted, mapped onto paint, and reduced to few tones. */
import { KEYS } from '@/core/exercise/judging';
import { MEDIA, MEDIUM_IDS } from '@/core/exercise/media';
import { cutKey, type Preparation } from '@/core/reference/preparation';
import type { BenchView } from '@/workers/browser/bench-protocol';
import { Choice } from '../parts/fields';

interface Props {
  readonly preparation: Preparation;
  readonly left: BenchView;
  readonly right: BenchView;
  readonly onLeft: (view: BenchView) => void;
  readonly onRight: (view: BenchView) => void;
  readonly set: (change: Partial<Preparation>, moving?: boolean) => void;
}

const LEFT = [
  ['colour', 'as it is'],
  ['grey', 'grey, by lightness'],
  ['luma-709', 'grey, as screens make it (709)'],
  ['luma-601', 'grey, as old video made it (601)'],
] as const;
const RIGHT = [
  ['tones', 'in its tones'],
  ['mapped', 'as paint reaches it'],
  ['squint', 'squinted'],
] as const;
const KEY_WORDS: Record<Preparation['key'], string> = {
  full: 'the whole range',
  high: 'high',
  middle: 'middle',
  low: 'low',
};
const SLIDERS = [
  ['squint', 'Squint', 0, 6, 0.1, (v: number) => (v === 0 ? 'none' : `${v.toFixed(1)} %`)],
  [
    'dissolve',
    'Dissolve what is smaller than',
    0,
    0.05,
    0.0005,
    (v: number) => (v === 0 ? 'nothing' : `${(100 * v).toFixed(2)} % of it`),
  ],
  ['smooth', 'Smooth outlines', 0, 2, 0.05, (v: number) => (v === 0 ? 'as they are' : `${v.toFixed(2)} %`)],
] as const;

export function ValuesPanel({ preparation: p, left, right, onLeft, onRight, set }: Props) {
  const byHand = p.cuts[cutKey(p.school, p.tones)] !== undefined;
  const medium =
    MEDIUM_IDS.find((m) => MEDIA[m].ends.light === p.ends.light && MEDIA[m].ends.dark === p.ends.dark) ?? '';
  return (
    <div className="grid gap-2">
      <div className="grid grid-cols-2 gap-2">
        <Choice label="Left" value={left} options={LEFT} onChange={onLeft} />
        <Choice label="Right" value={right} options={RIGHT} onChange={onRight} />
      </div>
      <label>
        <span className="label">Tones: {p.tones}</span>
        <input
          type="range"
          className="w-full accent-ink"
          min={2}
          max={12}
          step={1}
          value={p.tones}
          onChange={(e) => set({ tones: Number(e.target.value) })}
        />
      </label>
      <Choice
        label="What is dark"
        value={p.school}
        options={
          [
            ['light-and-shadow', 'all that lies in shadow'],
            ['threshold', 'all darker than a line'],
          ] as const
        }
        onChange={(school) => set({ school })}
      />
      {byHand && (
        <button
          type="button"
          className="calm"
          onClick={() =>
            set({ cuts: Object.fromEntries(Object.entries(p.cuts).filter(([k]) => k !== cutKey(p.school, p.tones))) })
          }
        >
          Lines back where the picture puts them
        </button>
      )}
      {SLIDERS.map(([name, words, min, max, step, say]) => (
        <label key={name}>
          <span className="label">
            {words}: {say(p[name])}
          </span>
          <input
            type="range"
            className="w-full accent-ink"
            min={min}
            max={max}
            step={step}
            value={p[name]}
            onChange={(e) => set({ [name]: Number(e.target.value) }, true)}
            onPointerUp={() => set({})}
            onKeyUp={() => set({})}
            onBlur={() => set({})}
          />
        </label>
      ))}
      <div className="grid grid-cols-2 gap-2">
        <Choice
          label="Paint reaches"
          value={medium as string}
          options={[
            ...(medium === '' ? [['', `L* ${p.ends.light} to ${p.ends.dark}`] as const] : []),
            ...MEDIUM_IDS.map((m) => [m as string, MEDIA[m].name] as const),
          ]}
          onChange={(m) => {
            const chosen = MEDIUM_IDS.find((id) => id === m);
            if (chosen) set({ ends: { ...MEDIA[chosen].ends } });
          }}
        />
        <Choice
          label="It is to sit"
          value={p.key}
          options={KEYS.map((k) => [k, KEY_WORDS[k]] as const)}
          onChange={(key) => set({ key })}
        />
      </div>
      <label>
        <span className="label">Push past it: {p.pushPercent} %</span>
        <input
          type="range"
          className="w-full accent-ink"
          min={0}
          max={50}
          step={1}
          value={p.pushPercent}
          onChange={(e) => set({ pushPercent: Number(e.target.value) }, true)}
          onPointerUp={() => set({})}
          onKeyUp={() => set({})}
        />
      </label>
    </div>
  );
}
