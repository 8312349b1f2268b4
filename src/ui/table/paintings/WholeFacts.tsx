'use client';
/** A painting as a whole beside its reference: how values are spread, and how lights and darks hang together. */
import type { PaintingResult } from '@/core/painting/result';
import { useMemo } from 'react';
import type { LinesShown } from './draw-lines';
import { LineChart } from './LineChart';

interface Props {
  readonly whole: NonNullable<PaintingResult['whole']>;
}

type Whole = Props['whole']['student'];

const pointsOf = ({ curve }: Whole) => curve.map((l, k) => [(100 * k) / (curve.length - 1), l] as const);
const hundredths = (share: number) => Math.round(100 * share);
const pieces = (pattern: Whole['lights']) => pattern?.pieces ?? 0;

const ROWS: readonly (readonly [name: string, of: (whole: Whole) => number])[] = [
  ['In the light third, of 100', (w) => hundredths(w.thirds.light)],
  ['In the middle third', (w) => hundredths(w.thirds.middle)],
  ['In the dark third', (w) => hundredths(w.thirds.dark)],
  ['Pieces that the lights lie in', (w) => pieces(w.lights)],
  ['Pieces that the darks lie in', (w) => pieces(w.darks)],
  ['Largest contrast, L*', (w) => Math.round(w.focus.contrast)],
];

export function WholeFacts({ whole: { student, reference } }: Props) {
  const lines = useMemo<LinesShown['lines']>(
    () => [
      ...(reference ? [{ points: pointsOf(reference), as: 'held-against' as const }] : []),
      { points: pointsOf(student), as: 'looked-at' },
    ],
    [student, reference],
  );
  return (
    <>
      <LineChart
        label={
          reference
            ? 'How much of the painting is darker than each lightness; dashed, the same of the reference'
            : 'How much of the painting is darker than each lightness'
        }
        x="from its darkest to its lightest place, of 100"
        y="L*"
        lines={lines}
      />
      <table className="mt-2 w-full text-right">
        <caption className="text-left">The picture as a whole</caption>
        <thead>
          <tr>
            <th />
            <th>painting</th>
            {reference && <th>reference</th>}
          </tr>
        </thead>
        <tbody>
          {ROWS.map(([name, of]) => (
            <tr key={name}>
              <td className="text-left">{name}</td>
              <td>{of(student)}</td>
              {reference && <td>{of(reference)}</td>}
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}
