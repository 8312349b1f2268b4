'use client';
/** Reads a file of swatches and shows the nearest mix for each. */
import { type PaintId, PAINTS } from '@/core/exercise/paints';
import type { Swatch } from '@/core/formats/palette-gpl';
import type { Parts } from '@/core/mixing/paint-model';
import { SAME_COLOUR } from '@/core/mixing/reach';
import { useState } from 'react';
import { FileReaderButton } from '../parts/FileReaderButton';

interface Row {
  readonly swatch: Swatch;
  readonly parts: Parts;
  readonly off: number;
}

const percent = (parts: Parts): string =>
  (Object.entries(parts) as [PaintId, number][])
    .filter(([, n]) => n >= 0.005)
    .sort(([, a], [, b]) => b - a)
    .map(([id, n]) => `${(100 * n).toFixed(n < 0.1 ? 1 : 0)} % ${PAINTS[id].name}`)
    .join(', ');

const word = (off: number): string => (off < SAME_COLOUR ? 'reached' : off < 5 ? 'near' : 'out of reach');

export function SwatchReader({
  send,
}: {
  send: (text: string) => Promise<{ ok: true; value: Row[] } | { ok: false; say: string }>;
}) {
  const [rows, setRows] = useState<readonly Row[]>([]);
  return (
    <>
      <FileReaderButton
        label="Read swatches (GPL)"
        send={async (text) => {
          const answer = await send(text);
          if (answer.ok) setRows(answer.value);
          return answer;
        }}
      />
      {rows.length > 0 && (
        <table className="w-full text-13">
          <thead>
            <tr className="text-left">
              <th scope="col">colour</th>
              <th scope="col">nearest mix</th>
              <th scope="col">off by</th>
            </tr>
          </thead>
          <tbody>
            {rows.map((r, i) => (
              <tr key={i} className="border-t border-l80">
                <th scope="row" className="py-1 text-left font-normal">
                  <span
                    className="mr-2 inline-block h-5 w-8 align-middle"
                    style={{ background: `rgb(${r.swatch.rgb.join(' ')})` }}
                    aria-hidden
                  />
                  {r.swatch.name}
                </th>
                <td>{percent(r.parts)}</td>
                <td>
                  {r.off.toFixed(1)}, {word(r.off)}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </>
  );
}
