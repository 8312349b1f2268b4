'use client';
/** Ways from a colour to a value, and the schools of darks, side by side. */
import type { Triple } from '@/core/colour/srgb';
import { type PaintId, PAINTS } from '@/core/exercise/paints';
import { sayParts } from '@/core/mixing/logged-mix';
import { coveringLab, mixModel, type Palette } from '@/core/mixing/paint-model';
import type { SurfaceId } from '@/core/mixing/surface';
import { darksOf, type Way, waysTo } from '@/core/mixing/ways';
import { useMemo, useState } from 'react';
import { cssLab } from '../parts/grey';
import { PaintSelect } from './PaintSelect';

const ROLES: Record<Way['role'], string> = {
  white: 'with white',
  'lighter-neighbour': 'with a lighter neighbour',
  complement: 'with its complement',
  'nearest-complement': 'with what is nearest to a complement',
  black: 'with black',
  earth: 'with an earth',
};
const shares = (share: number): string =>
  share < 0.005
    ? 'none'
    : share < 0.5
      ? `1 : ${Number(((1 - share) / share).toFixed(share > 0.2 ? 1 : 0))}`
      : `${Number((share / (1 - share)).toFixed(1))} : 1`;

/** How much warmer or cooler than neutral, b*; null where it can't be told. */
const warmthOf = (warmth: number | null): string => {
  if (warmth === null) return '';
  return Math.abs(warmth) < 1 ? 'neutral' : `${warmth > 0 ? 'warmer' : 'cooler'} by ${Math.abs(warmth).toFixed(0)}`;
};

interface ColoursProps {
  readonly head: readonly string[];
  readonly rows: readonly { readonly lab: Triple; readonly name: string; readonly facts: readonly string[] }[];
  /** What is said where there are none. */
  readonly none: string;
}

function Colours({ head, rows, none }: ColoursProps) {
  return (
    <table className="w-full text-13">
      <thead>
        <tr className="text-left">
          {head.map((words) => (
            <th key={words} scope="col">
              {words}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map(({ lab, name, facts }) => (
          <tr key={name} className="border-t border-l80">
            <th scope="row" className="py-1 text-left font-normal">
              <span
                className="mr-2 inline-block h-5 w-9 align-middle"
                style={{ background: cssLab(lab) }}
                aria-hidden
              />
              {name}
            </th>
            {facts.map((fact, k) => (
              <td key={k}>{fact}</td>
            ))}
          </tr>
        ))}
        {rows.length === 0 && (
          <tr>
            <td colSpan={head.length}>{none}</td>
          </tr>
        )}
      </tbody>
    </table>
  );
}

export function WaysPanel({ palette, surface }: { palette: Palette; surface: SurfaceId }) {
  const ids = useMemo(() => [...palette.keys()], [palette]);
  const [chosen, setStart] = useState<PaintId | null>(null);
  const start =
    chosen && palette.has(chosen)
      ? chosen
      : (ids.find((p) => PAINTS[p].family === 'hue' || PAINTS[p].family === 'earth') ?? ids[0] ?? 'titanium-white');
  const from = coveringLab(mixModel(palette, { [start]: 1 }), surface);
  const [wanted, setWanted] = useState(60);
  const ways = useMemo(
    () => waysTo(palette, start, wanted, surface).filter((w) => w.reachable),
    [palette, start, wanted, surface],
  );
  const darks = useMemo(() => darksOf(palette, surface), [palette, surface]);
  return (
    <div className="grid gap-6 lg:grid-cols-2">
      <section aria-labelledby="ways">
        <h3 id="ways" className="label">
          Ways to one value
        </h3>
        <div className="mb-2 flex items-end gap-3">
          <PaintSelect label="From" paints={ids} value={start} onChoose={setStart} className="flex-1" />
          <label className="flex-1">
            <span className="label">
              to L* {wanted} (it is {from[0].toFixed(0)})
            </span>
            <input
              type="range"
              className="w-full accent-ink"
              min={5}
              max={97}
              value={wanted}
              onChange={(e) => setWanted(Number(e.target.value))}
            />
          </label>
        </div>
        <Colours
          head={['way', 'other : it', 'chroma', 'hue turns']}
          none={`No other paint of this palette takes ${PAINTS[start].name} there: add a white, a black or a complement.`}
          rows={ways.map((w) => ({
            lab: w.lab,
            name: `${ROLES[w.role]}: ${PAINTS[w.by].name}${w.still ? `, still ${w.still}` : ''}`,
            facts: [
              shares(w.share),
              w.chroma.toFixed(0),
              w.hueTurn === null ? 'grey' : `${w.hueTurn < 0 ? '−' : ''}${Math.abs(w.hueTurn).toFixed(0)}°`,
            ],
          }))}
        />
      </section>
      <section aria-labelledby="darks">
        <h3 id="darks" className="label">
          Darks: from the tube, from complements, from earths
        </h3>
        <Colours
          head={['dark', 'L*', 'its greys']}
          none="Add a black, or ultramarine and an umber, to compare darks."
          rows={darks.map((d) => ({
            lab: d.lab,
            name: d.school === 'tube' ? d.name : sayParts(d.parts),
            facts: [d.lab[0].toFixed(0), warmthOf(d.warmth)],
          }))}
        />
      </section>
    </div>
  );
}
