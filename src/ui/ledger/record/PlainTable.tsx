/** A table of the record as it is, with its first column naming the rows. */
import type { RecordTable } from '@/core/record/table';

export function PlainTable({ table: { title, columns, rows } }: { table: RecordTable }) {
  return (
    <div className="overflow-x-auto" tabIndex={0} role="region" aria-label={title}>
      <table className="w-full text-left">
        <thead>
          <tr>
            {columns.map((name, k) => (
              <th key={`${k} ${name}`} scope="col" className="py-1 pr-4 align-bottom text-13 font-semibold">
                {name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(([name, ...cells], row) => (
            // Two students or exercises of one name are two.
            <tr key={`${row} ${name}`} className="border-t border-l80">
              <th scope="row" className="py-1 pr-4 font-normal">
                {name}
              </th>
              {cells.map((cell, k) => (
                <td key={`${k} ${columns[k + 1]}`} className="py-1 pr-4 tabular-nums">
                  {cell}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
