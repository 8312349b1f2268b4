'use client';
/** A chart of the record with the same as a table, and as CSV. */
import type { RecordTable } from '@/core/record/table';
import { useEffect, useRef } from 'react';
import type { ChartAs } from './draw-chart';

interface Props {
  readonly table: RecordTable;
  readonly as: ChartAs;
  /** Address of the same as CSV. */
  readonly csv: string;
  /** What the chart is read by. */
  readonly hint: string;
}

const ROW_PX = 30;
const TALL = { lines: 300, least: 120, frame: 70 } as const;

const said = (value: string | number | null): string =>
  typeof value === 'number' ? String(Math.round(value * 100) / 100).replace('-', '\u2212') : (value ?? '');

export function ChartWithTable({ table, as, csv, hint }: Props) {
  const place = useRef<HTMLDivElement>(null);
  useEffect(() => {
    let away: (() => void) | null = null;
    let isGone = false;
    void import('./draw-chart').then(({ drawChart }) => {
      if (!isGone && place.current) away = drawChart(place.current, table, as);
    });
    return () => {
      isGone = true;
      away?.();
    };
  }, [table, as]);
  if (table.rows.length === 0) return <p className="quiet">Nothing of this was measured yet.</p>;
  const height = as === 'lines' ? TALL.lines : Math.max(TALL.least, TALL.frame + ROW_PX * table.rows.length);
  return (
    <figure className="grid grid-cols-[minmax(0,1fr)] gap-2">
      <div
        ref={place}
        role="img"
        aria-label={`${table.title}: the same stands in the table below`}
        style={{ height }}
      />
      <figcaption className="quiet">{hint}</figcaption>
      <div className="flex flex-wrap items-start gap-x-6 gap-y-1 text-13">
        <details className="min-w-0 flex-1">
          <summary className="min-h-7 cursor-pointer">As a table</summary>
          <div className="overflow-x-auto" role="region" tabIndex={0} aria-label={`${table.title}, as a table`}>
            <table className="mt-1 tabular-nums">
              <caption className="sr-only">{table.title}</caption>
              <thead>
                <tr>
                  {table.columns.map((name) => (
                    <th key={name} scope="col" className="pr-4 text-left align-bottom font-semibold">
                      {name}
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {table.rows.map(([name, ...cells], y) => (
                  <tr key={`${name} ${y}`}>
                    <th scope="row" className="pr-4 text-left font-normal">
                      {name}
                    </th>
                    {cells.map((cell, x) => (
                      <td key={table.columns[x + 1] ?? x} className="pr-4 text-right">
                        {said(cell)}
                      </td>
                    ))}
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        </details>
        <a href={csv} className="min-h-7 underline">
          As CSV
        </a>
      </div>
    </figure>
  );
}
