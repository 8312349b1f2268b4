'use client';
/** Which guides lie over the picture. */
import type { Preparation } from '@/core/reference/preparation';
import { Tick } from '../parts/fields';
import type { GuideChoice } from './Guides';

type Guide = Exclude<keyof GuideChoice, 'grid'>;

interface Props {
  readonly guides: Readonly<Record<Guide, boolean>>;
  readonly setGuides: (guides: Record<Guide, boolean>) => void;
  /** Squares along the longer side; 0 for none. */
  readonly grid: number;
  readonly set: (change: Partial<Preparation>) => void;
}

const GUIDES: readonly (readonly [Guide, string])[] = [
  ['thirds', 'Thirds'],
  ['halves', 'Halves'],
  ['diagonals', 'Diagonals'],
  ['contrast', 'Contrast'],
];
const FINEST_GRID = 24;

export function GuidesPanel({ guides, setGuides, grid, set }: Props) {
  return (
    <>
      <div className="grid grid-cols-2 gap-x-2">
        {GUIDES.map(([guide, label]) => (
          <Tick
            key={guide}
            label={label}
            checked={guides[guide]}
            onChange={(on) => setGuides({ ...guides, [guide]: on })}
          />
        ))}
      </div>
      <label>
        <span className="label">Grid: {grid === 0 ? 'none' : `${grid} squares`}</span>
        <input
          type="range"
          className="w-full accent-ink"
          min={0}
          max={FINEST_GRID}
          value={grid}
          onChange={(e) => set({ grid: Number(e.target.value) })}
        />
      </label>
    </>
  );
}
