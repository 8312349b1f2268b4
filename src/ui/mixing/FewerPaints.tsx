'use client';
/** What this palette reaches, and what goes with each paint that is left out. */
import { PAINTS } from '@/core/exercise/paints';
import { limitedReach } from '@/core/mixing/limited';
import type { Palette } from '@/core/mixing/paint-model';
import type { SurfaceId } from '@/core/mixing/surface';
import { useMemo } from 'react';
import { cssGrey } from '../parts/grey';

function Span({ light, dark }: { light: number; dark: number }) {
  return (
    <span className="relative block h-4 w-full bg-l80" aria-hidden>
      <span
        className="absolute inset-y-0"
        style={{
          left: `${dark}%`,
          width: `${light - dark}%`,
          background: `linear-gradient(to right, ${cssGrey(dark)}, ${cssGrey(light)})`,
        }}
      />
    </span>
  );
}

export function FewerPaints({ palette, surface }: { palette: Palette; surface: SurfaceId }) {
  const found = useMemo(
    () => (palette.size >= 2 && palette.size <= 8 ? limitedReach(palette, surface) : null),
    [palette, surface],
  );
  if (!found)
    return <p>A limited palette has 2 to 8 paints; this one has {palette.size}. Take some out above to compare.</p>;
  const { reach, losses } = found;
  return (
    <table className="w-full text-13">
      <thead>
        <tr className="text-left">
          <th scope="col" className="w-64">
            palette
          </th>
          <th scope="col">values, dark to light</th>
          <th scope="col" className="w-32 pl-3">
            from L* to
          </th>
          <th scope="col" className="w-40">
            colours told apart
          </th>
        </tr>
      </thead>
      <tbody>
        <tr>
          <th scope="row" className="py-1 text-left">
            all {palette.size} paints
          </th>
          <td>
            <Span {...reach} />
          </td>
          <td className="pl-3">
            {reach.dark.toFixed(0)} to {reach.light.toFixed(0)}
          </td>
          <td>{reach.colours}</td>
        </tr>
        {losses.map((l) => (
          <tr key={l.without} className="border-t border-l80">
            <th scope="row" className="py-1 text-left font-normal">
              without {PAINTS[l.without].name}
            </th>
            <td>
              <Span {...l.reach} />
            </td>
            <td className="pl-3">
              {l.reach.dark.toFixed(0)} to {l.reach.light.toFixed(0)}
            </td>
            <td>
              {l.reach.colours} ({Math.round(100 * l.lost)} % lost)
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
