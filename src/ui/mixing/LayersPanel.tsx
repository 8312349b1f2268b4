'use client';
/** A glaze over the underpainting: what lies below for each value, and whether the glaze can keep them. */
import { type PaintId, PAINTS } from '@/core/exercise/paints';
import { glazed, underpaintingFor } from '@/core/mixing/layers';
import { mixModel, type Palette } from '@/core/mixing/paint-model';
import type { SurfaceId } from '@/core/mixing/surface';
import { useMemo, useState } from 'react';
import { cssGrey, cssLab } from '../parts/grey';
import { PaintSelect } from './PaintSelect';

interface Props {
  readonly palette: Palette;
  readonly surface: SurfaceId;
  readonly targets: readonly number[];
  readonly labels: readonly string[];
  /** Film of covering paint, mm. */
  readonly film: number;
}

export function LayersPanel({ palette, surface, targets, labels, film }: Props) {
  const ids = [...palette.keys()];
  const [chosen, setGlaze] = useState<PaintId | null>(null);
  const glaze =
    chosen && palette.has(chosen)
      ? chosen
      : (ids.find((p) => PAINTS[p].family === 'earth' || PAINTS[p].family === 'hue') ??
        ids[1] ??
        ids[0] ??
        'ivory-black');
  const [thinned, setThinned] = useState(60);
  const model = useMemo(() => mixModel(palette, { [glaze]: 1 }), [palette, glaze]);
  const below = useMemo(
    () =>
      underpaintingFor(
        targets,
        model,
        film / thinned,
        { light: Math.max(...targets), dark: Math.min(...targets) },
        surface,
      ),
    [targets, model, film, thinned, surface],
  );
  const lost = below.flatMap((u, i) => (u.kept ? [] : [labels[i] ?? String(i + 1)]));
  return (
    <div>
      <div className="mb-3 flex items-end gap-4">
        <PaintSelect label="Glaze or stain of" paints={ids} value={glaze} onChoose={setGlaze} />
        <label className="w-80">
          <span className="label">thinned 1 : {thinned}</span>
          <input
            type="range"
            className="w-full accent-ink"
            min={5}
            max={400}
            step={5}
            value={thinned}
            onChange={(e) => setThinned(Number(e.target.value))}
          />
        </label>
        <p className="max-w-96" aria-live="polite">
          {lost.length === 0
            ? 'This glaze keeps every value.'
            : `This glaze can’t keep ${lost.join(', ')}: thin it more, or lose ${lost.length > 1 ? 'them' : 'it'}.`}
        </p>
      </div>
      <table className="w-full table-fixed text-center text-13">
        <tbody>
          <tr>
            <th scope="row" className="w-28 text-left font-semibold">
              value wanted
            </th>
            {targets.map((t, i) => (
              <td key={i} className="font-semibold">
                {labels[i]}
              </td>
            ))}
          </tr>
          <tr>
            <th scope="row" className="text-left font-semibold">
              paint below
            </th>
            {below.map((u, i) => (
              <td key={i} className="h-14 align-bottom" style={{ background: cssGrey(u.below) }}>
                <span className="bg-l97 px-1 text-l10">{u.below.toFixed(0)}</span>
              </td>
            ))}
          </tr>
          <tr>
            <th scope="row" className="text-left font-semibold">
              after the glaze
            </th>
            {below.map((u, i) => (
              <td
                key={i}
                className="h-14 align-bottom"
                style={{ background: cssLab(glazed(u.below, model, film / thinned, surface)) }}
              >
                <span className="bg-l97 px-1 text-l10">
                  {u.after.toFixed(0)}
                  {u.kept ? '' : ' ✕'}
                </span>
              </td>
            ))}
          </tr>
        </tbody>
      </table>
    </div>
  );
}
