'use client';
/** A painting on the Table, beside the values that its reference asks for. */
import { isPicture } from '@/core/exercise/terms';
import { useState } from 'react';
import { HoldButton, useHold } from '../../instruments/HoldButton';
import { useKeys } from '../../parts/use-keys';
import { KEYS, LIFE_VALUE_KEYS, PAINTING_KEYS } from '../critique-keys';
import { OtherReference } from '../OtherReference';
import type { PaintingPart, TableProps } from '../table-props';
import { sameBox } from '../same-box';
import { attemptName } from '../../parts/attempt-name';
import { TableFrame } from '../TableFrame';
import { useCritique } from '../use-critique';
import { RescueWays } from './RescueWays';
import { OnePainting } from './OnePainting';
import { PaintedFromLife } from './PaintedFromLife';
import { PaintingFacts } from './PaintingFacts';
import { PaintingPictures, VIEWS, type View } from './PaintingPictures';

export function PaintingTable(props: TableProps<PaintingPart>) {
  const critique = useCritique(props);
  const { shown, part, actions } = props;
  const { result } = part.measured;
  const [view, setView] = useState<View>('beside');
  const [paint, swap, over, difference] = [useHold(), useHold(), useHold(), useHold()];
  const id = shown?.id ?? '';
  const alone = part.setUp !== null || part.beside === 'nothing';
  const turn = () => setView(VIEWS[(VIEWS.indexOf(view) + 1) % VIEWS.length] as View);
  const held = { c: paint.hold, ...(!alone && { r: swap.hold, m: over.hold, f: difference.hold }) };
  useKeys(alone || critique.isElsewhere ? {} : { v: turn }, critique.isElsewhere ? {} : held);
  const where = critique.pick?.original.where;
  const region = result.regions.findIndex((r) => sameBox(r.box, where?.box));
  const life = part.setUp;
  const pictures = life ? (
    <PaintedFromLife
      key={id}
      attemptId={id}
      hasStrip={shown?.hasStrip ?? false}
      setUp={life}
      painted={shown?.masses ?? []}
      judged={result.shapes.length > 0}
      frozen={critique.frozen}
      busy={critique.busy || critique.underWay}
      squint={critique.squint.on}
      paint={paint.on}
      box={where?.box}
      judge={(edits) => critique.run(() => actions.tones.judgeByMasses(id, edits))}
    />
  ) : part.beside === 'nothing' ? (
    <OnePainting
      key={id}
      attemptId={id}
      hasStrip={shown?.hasStrip ?? false}
      squint={critique.squint.on}
      paint={paint.on}
      box={where?.box}
    >
      {/* Ways are shown on the straightened picture, which comes a little after the reading. */}
      {shown?.hasStrip && result.stage?.asks === 'as-it-was' && !critique.frozen && (
        <RescueWays
          busy={critique.busy}
          propose={() => critique.look(() => actions.proposeRescue(id))}
          take={({ layers }, name) => critique.ask(() => actions.correctPicture(id, { id: null, name, layers }, 0))}
        />
      )}
    </OnePainting>
  ) : (
    <PaintingPictures
      attemptId={id}
      hasStrip={shown?.hasStrip ?? false}
      regions={result.regions}
      displacements={result.displacements}
      coloured={result.colour !== null}
      beside={part.beside}
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
      {!alone && <HoldButton label="Swap" keyName="r" hold={swap} />}
      {!alone && <HoldButton label="Over" keyName="m" hold={over} />}
      {!alone && <HoldButton label="Differs" keyName="f" hold={difference} />}
    </div>
  );
  const below = (
    <>
      {(part.standing === 'other-reference' || part.standing === 'other-set-up') && (
        <OtherReference
          frozen={critique.frozen}
          busy={critique.busy || critique.underWay}
          measure={() => critique.run(() => actions.measureAgainstNow(id))}
        />
      )}
      <PaintingFacts
        result={result}
        numberUp={shown ? attemptName(shown, 'Photograph') : ''}
        coloursAsked={shown !== null && isPicture(shown.terms) && shown.terms.judging.colourPass}
      />
    </>
  );
  return (
    <TableFrame
      {...props}
      critique={critique}
      pictures={pictures}
      holds={holds}
      below={below}
      keys={[...KEYS.slice(0, -1), ...(alone ? LIFE_VALUE_KEYS : PAINTING_KEYS), ...KEYS.slice(-1)]}
    />
  );
}
