'use client';
/** What is taken of a picture: a proportion, a slant set straight, four corners dragged where perspective is to be undone. */
import { type Corners, straightened } from '@/core/reference/framing';
import type { Preparation } from '@/core/reference/preparation';
import { WHOLE } from '@/core/reference/preparation';
import { Choice } from '../parts/fields';

interface Props {
  readonly preparation: Preparation;
  /** Width over height of the picture as it came. */
  readonly own: number;
  readonly slant: number;
  readonly onSlant: (degrees: number) => void;
  readonly set: (change: Partial<Preparation>) => void;
}

/** As on the printed sheet, and what canvases are sold in. */
const PROPORTIONS = [
  ['own', 'as it came', null],
  ['sheet', 'the sheet’s frame, 6 : 5', 1.2],
  ['upright', 'a frame on end, 5 : 6', 1 / 1.2],
  ['square', 'square', 1],
  ['4:3', '4 : 3', 4 / 3],
  ['3:4', '3 : 4', 3 / 4],
  ['3:2', '3 : 2', 1.5],
  ['2:1', '2 : 1', 2],
] as const;

export function FramePanel({ preparation, own, slant, onSlant, set }: Props) {
  const proportionOf = (id: string) => PROPORTIONS.find(([p]) => p === id)?.[2] ?? own;
  const chosen = PROPORTIONS.find(([, , p]) => Math.abs((p ?? own) - preparation.proportion) < 0.004)?.[0] ?? 'own';
  const frame = (proportion: number, degrees: number) => {
    const corners: Corners = proportion === own && degrees === 0 ? WHOLE : straightened(own, proportion, degrees);
    onSlant(degrees);
    set({ proportion, corners: [...corners] as unknown as Preparation['corners'] });
  };
  return (
    <div className="grid gap-3">
      <Choice
        label="Proportion"
        value={chosen as string}
        options={PROPORTIONS.map(([id, words]) => [id, words] as const)}
        onChange={(id) => frame(proportionOf(id), slant)}
      />
      <label>
        <span className="label">Set straight: {slant.toFixed(1)}°</span>
        <input
          type="range"
          className="w-full accent-ink"
          min={-15}
          max={15}
          step={0.1}
          value={slant}
          onChange={(e) => frame(preparation.proportion, Number(e.target.value))}
        />
      </label>
      <p className="quiet">
        Drag a corner to its own corner of a board or a wall, and its perspective is undone. What lies inside is what is
        painted.
      </p>
      <button type="button" className="calm" onClick={() => frame(own, 0)}>
        Take the whole picture
      </button>
    </div>
  );
}
