import { PAINT_IDS, PAINTS } from '@/core/exercise/paints';
import { SUPPLIES, SUPPLY_IDS } from '@/core/exercise/supplies';
import { usualItem } from '@/core/planning/quantities';
import { classesOf } from '@/studio/class/people';
import { printersOf } from '@/studio/mixing/finders';
import { shelfOf } from '@/studio/mixing/shelf';
import { LedgerForm } from '@/ui/ledger/LedgerForm';
import { FinderPanel } from '@/ui/mixing/FinderPanel';
import { ShelfRow } from '@/ui/mixing/ShelfRow';
import { FileReaderButton } from '@/ui/parts/FileReaderButton';
import { teacherOnly } from '../../../access';
import { clearPrinter, keepItem, makePrinter, practise, readPrinter, readShelf } from './actions';

export default async function Cupboard() {
  const { house, teacher } = await teacherOnly();
  const [shelf, printers, groups] = await Promise.all([
    shelfOf(house, teacher),
    printersOf(house, teacher),
    classesOf(house, teacher),
  ]);
  return (
    <div className="grid gap-4 p-4 lg:grid-cols-[1fr_26rem]">
      <section className="panel self-start" aria-labelledby="cupboard">
        <div className="mb-3 flex items-center gap-3">
          <h1 id="cupboard" className="text-24 font-semibold">
            The cupboard
          </h1>
          <a className="calm ml-auto" href="/shelf">
            As CSV
          </a>
          <FileReaderButton label="Read a CSV" send={readShelf} />
        </div>
        <p className="quiet mb-2">
          Packs and prices are yours to set; lightness and drying are estimates. ⚠ marks toxic pigment.
        </p>
        <div className="relative overflow-x-auto" role="region" aria-label="What is in the cupboard" tabIndex={0}>
          <table className="w-full text-13">
            <thead>
              <tr className="text-left">
                <th>What</th>
                <th>L*</th>
                <th>in oil</th>
                <th>pack</th>
                <th>price</th>
                <th>in the cupboard</th>
              </tr>
            </thead>
            <tbody>
              {PAINT_IDS.map((id) => (
                <ShelfRow
                  key={id}
                  what={id}
                  name={`${PAINTS[id].name}${PAINTS[id].hazard ? ' ⚠' : ''}`}
                  lightness={PAINTS[id].massTone[0]}
                  drying={`dries ${PAINTS[id].drying}`}
                  unit="ml"
                  item={shelf[id] ?? usualItem(id)}
                  known={shelf[id] !== undefined}
                  save={keepItem}
                />
              ))}
              {SUPPLY_IDS.map((id) => (
                <ShelfRow
                  key={id}
                  what={id}
                  name={SUPPLIES[id].name}
                  lightness={SUPPLIES[id].lightness}
                  drying=""
                  unit={SUPPLIES[id].unit}
                  item={shelf[id] ?? usualItem(id)}
                  known={shelf[id] !== undefined}
                  save={keepItem}
                />
              ))}
            </tbody>
          </table>
        </div>
      </section>
      <section className="panel self-start" aria-labelledby="finders">
        <h2 id="finders" className="mb-2 text-18 font-semibold">
          Value finders
        </h2>
        <p className="mb-3">
          A strip of greys to hold against a shape. Each printer makes its own greys, so its chart is read once and the
          bars are set by it.
        </p>
        {printers.map((p) => (
          <FinderPanel
            key={p.id}
            printer={{ id: p.id, name: p.name, readings: p.readings.length }}
            classes={groups.map(({ id, name }) => ({ id, name }))}
            demo={house.settings.demo}
            read={readPrinter}
            clear={clearPrinter}
            practise={practise}
          />
        ))}
        <LedgerForm label="Name of the printer" button="Add a printer" send={makePrinter} />
      </section>
    </div>
  );
}
