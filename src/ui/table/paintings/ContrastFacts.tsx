/** How shapes that meet stand out of each other, in figures. */
import type { PaintingResult } from '@/core/painting/result';
import { signed } from './signed';

interface Props {
  readonly contrasts: PaintingResult['contrasts'];
}

const WAYS = [
  ['lightness', 'L*'],
  ['chroma', 'chroma'],
  ['hue', 'hue'],
] as const;

export function ContrastFacts({ contrasts }: Props) {
  // Chroma and hue are of no use where nobody asked for colours.
  const ways = WAYS.filter(([way]) => contrasts.some((c) => c[way] !== null));
  return (
    <table className="mt-2 w-full text-right [&_td]:pl-2 [&_th]:pl-2 [&_th]:align-bottom">
      <caption className="text-left">
        Where shapes meet: how far the first lies above the second, painted and wanted
      </caption>
      <thead>
        <tr>
          <th className="text-left">Shapes</th>
          {ways.map(([way, name]) => (
            <th key={way}>{name}</th>
          ))}
        </tr>
      </thead>
      <tbody>
        {contrasts.map((c) => (
          <tr key={c.id}>
            <td className="text-left">{c.between.join(', ')}</td>
            {ways.map(([way]) => {
              const own = c[way];
              return <td key={way}>{own ? `${signed(own.painted)}, ${signed(own.wanted)}` : '–'}</td>;
            })}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
