/** What an exercise takes of each paint, what of it must be bought, and about what it costs. */
import { type ShoppingLine, storedName, storedUnit } from '@/core/planning/quantities';

interface Props {
  readonly lines: readonly ShoppingLine[];
  readonly students: number;
  readonly currency: string;
  readonly total: number;
}

const amount = (v: number, unit: string) =>
  unit === 'ml' ? `${v < 1 ? v.toFixed(2) : v.toFixed(1)} ml` : String(Math.ceil(v));

export function ShoppingTable({ lines, students, currency, total }: Props) {
  const money = new Intl.NumberFormat('en-GB', { style: 'currency', currency });
  return (
    <table className="w-full text-right text-13">
      <caption className="quiet text-left">With what stays on the palette; estimates for {students} students.</caption>
      <thead>
        <tr>
          <th className="text-left">What</th>
          <th>each</th>
          <th>class</th>
          <th>there is</th>
          <th>buy</th>
          <th>about</th>
        </tr>
      </thead>
      <tbody>
        {lines.map((l) => (
          <tr key={l.what} className="border-t border-l80">
            <th scope="row" className="text-left font-normal">
              {storedName(l.what)}
            </th>
            {[l.perStudent, l.forClass, l.stock].map((v, i) => (
              <td key={i}>{amount(v, storedUnit(l.what))}</td>
            ))}
            <td>{l.packs === 0 ? 'enough' : `${l.packs} ${l.packs === 1 ? 'pack' : 'packs'}`}</td>
            <td>{money.format(l.cost)}</td>
          </tr>
        ))}
      </tbody>
      <tfoot>
        <tr className="border-t border-l37 font-semibold">
          <th scope="row" className="text-left" colSpan={5}>
            Together
          </th>
          <td>{money.format(total)}</td>
        </tr>
      </tfoot>
    </table>
  );
}
