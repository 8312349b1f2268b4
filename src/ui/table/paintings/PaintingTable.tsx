'use client';
/** A painting on the Table, beside the values that its reference asks for. */
import { useState } from 'react';
import { HoldButton, useHold } from '../../instruments/HoldButton';
import { useKeys } from '../../parts/use-keys';
import { KEYS, PAINTING_KEYS } from '../critique-keys';
import { OtherReference } from '../OtherReference';
import type { PaintingPart, TableProps } from '../table-props';
import { sameBox } from '../same-box';
import { attemptName } from '../../parts/attempt-name';
import { TableFrame } from '../TableFrame';
import { useCritique } from '../use-critique';
import { PaintingFacts } from './PaintingFacts';
import { PaintingPictures, VIEWS, type View } from './PaintingPictures';

export function PaintingTable(props: TableProps<PaintingPart>) {
  const critique = useCritique(props);
  const { shown, part, actions } = props;
  const { result } = part.measured;
  const [view, setView] = useState<View>('beside');
  const [paint, swap, over, difference] = [useHold(), useHold(), useHold(), useHold()];
  const id = shown?.id ?? '';
  useKeys(
    { v: () => setView(VIEWS[(VIEWS.indexOf(view) + 1) % VIEWS.length] as View) },
    { c: paint.hold, r: swap.hold, m: over.hold, f: difference.hold },
  );
  const where = critique.pick?.original.where;
  const region = result.regions.findIndex((r) => sameBox(r.box, where?.box));
  const pictures = (
    <PaintingPictures
      attemptId={id}
      hasStrip={shown?.hasStrip ?? false}
      regions={result.regions}
      view={view}
      onView={setView}
      squint={critique.squint.on}
      paint={paint.on}
      swap={swap.on}
      over={over.on}
      difference={difference.on}
      lit={region >= 0 ? region : null}
      box={where?.box}
      onPick={(k) => critique.choose((w) => sameBox(w.box, result.regions[k]?.box))}
    />
  );
  const holds = (
    <div className="grid grid-cols-2 gap-1">
      <HoldButton label="Colours" keyName="c" hold={paint} />
      <HoldButton label="Swap" keyName="r" hold={swap} />
      <HoldButton label="Over" keyName="m" hold={over} />
      <HoldButton label="Differs" keyName="f" hold={difference} />
    </div>
  );
  const below = (
    <>
      {part.standing === 'other-reference' && (
        <OtherReference
          frozen={critique.frozen}
          busy={critique.busy || critique.underWay}
          measure={() => critique.run(() => actions.measureAgainstNow(id))}
        />
      )}
      <PaintingFacts result={result} numberUp={shown ? attemptName(shown, 'Photograph') : ''} />
    </>
  );
  return (
    <TableFrame
      {...props}
      critique={critique}
      pictures={pictures}
      holds={holds}
      below={below}
      keys={[...KEYS.slice(0, -1), ...PAINTING_KEYS, ...KEYS.slice(-1)]}
    />
  );
}
