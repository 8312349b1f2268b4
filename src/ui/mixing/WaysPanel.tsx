'use client';
/** Ways from a colour to a value, and the schools of darks, side by side. */
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
        <table className="w-full text-13">
          <thead>
            <tr className="text-left">
              <th scope="col">way</th>
              <th scope="col">other : it</th>
              <th scope="col">chroma</th>
              <th scope="col">hue turns</th>
            </tr>
          </thead>
          <tbody>
            {ways.map((w) => (
              <tr key={w.by} className="border-t border-l80">
                <th scope="row" className="py-1 text-left font-normal">
                  <span
                    className="mr-2 inline-block h-5 w-9 align-middle"
                    style={{ background: cssLab(w.lab) }}
                    aria-hidden
                  />
                  {ROLES[w.role]}: {PAINTS[w.by].name}
                  {w.still && `, still ${w.still}`}
                </th>
                <td>{shares(w.share)}</td>
                <td>{w.chroma.toFixed(0)}</td>
                <td>{w.hueTurn === null ? 'grey' : `${w.hueTurn.toFixed(0)}°`}</td>
              </tr>
            ))}
            {ways.length === 0 && (
              <tr>
                <td colSpan={4}>
                  No other paint of this palette takes {PAINTS[start].name} there: add a white, a black or a complement.
                </td>
              </tr>
            )}
          </tbody>
        </table>
      </section>
      <section aria-labelledby="darks">
        <h3 id="darks" className="label">
          Darks: from the tube, from complements, from earths
        </h3>
        <table className="w-full text-13">
          <thead>
            <tr className="text-left">
              <th scope="col">dark</th>
              <th scope="col">L*</th>
              <th scope="col">its greys</th>
            </tr>
          </thead>
          <tbody>
            {darks.map((d) => (
              <tr key={d.name} className="border-t border-l80">
                <th scope="row" className="py-1 text-left font-normal">
                  <span
                    className="mr-2 inline-block h-5 w-9 align-middle"
                    style={{ background: cssLab(d.lab) }}
                    aria-hidden
                  />
                  {d.school === 'tube' ? d.name : sayParts(d.parts)}
                </th>
                <td>{d.lab[0].toFixed(0)}</td>
                <td>
                  {d.warmth === null
                    ? ''
                    : Math.abs(d.warmth) < 1
                      ? 'neutral'
                      : `${d.warmth > 0 ? 'warmer' : 'cooler'} by ${Math.abs(d.warmth).toFixed(0)}`}
                </td>
              </tr>
            ))}
            {darks.length === 0 && (
              <tr>
                <td colSpan={3}>Add a black, or ultramarine and an umber, to compare darks.</td>
              </tr>
            )}
          </tbody>
        </table>
      </section>
    </div>
  );
}
