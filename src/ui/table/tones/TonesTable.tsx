'use client';
/** A painting in few tones on the Table: beside its reference, or with the masses of what it was painted from in life. */
import { HoldButton, useHold } from '../../instruments/HoldButton';
import { useKeys } from '../../parts/use-keys';
import { KEYS, LIFE_KEYS, NOTAN_KEYS } from '../critique-keys';
import type { TableProps, TonesPart } from '../table-props';
import { LifePictures } from '../LifePictures';
import { PaintingView } from '../PaintingView';
import { RegionOutlines } from '../RegionOutlines';
import { sameBox } from '../same-box';
import { attemptName } from '../../parts/attempt-name';
import { TableFrame } from '../TableFrame';
import { useCritique } from '../use-critique';
import { FrameChoice } from './FrameChoice';

import { NotanFacts } from './NotanFacts';
import { NotanPictures } from './NotanPictures';
import { ReadingChoice } from './ReadingChoice';
import { ToneShares } from './ToneShares';

const STILL = { x: 0, y: 0 };

export function TonesTable(props: TableProps<TonesPart>) {
  const critique = useCritique(props);
  const { frozen, busy, run } = critique;
  const { shown, labels, handIn } = props;
  const { measured, greys, standing, setUp, readingsForEveryone } = props.part;
  const actions = props.actions.tones;
  const { result } = measured;
  const [tones, swap, over] = [useHold(), useHold(), useHold()];
  const id = shown?.id ?? '';
  const life = result.reference === 'picture' ? null : setUp;
  const where = critique.pick?.original.where;
  const region = result.regions.findIndex((r) => sameBox(r.box, where?.box));
  const flipped = result.regions[region];
  const accept = (scope: 'this' | 'everyone') =>
    flipped && !life && !frozen && run(() => actions.acceptAsReading(id, flipped.id, scope));
  const { isElsewhere } = critique;
  useKeys(
    isElsewhere ? {} : { a: () => accept('this'), f: () => accept('everyone') },
    isElsewhere ? {} : { t: tones.hold, ...(!life && { r: swap.hold, m: over.hold }) },
  );
  const view = {
    attemptId: id,
    hasStrip: shown?.hasStrip ?? false,
    result,
    greys,
    labels,
    squint: critique.squint.on,
    tones: tones.on,
    lit: region >= 0 ? region : null,
    box: where?.box,
    onPick: (k: number) => critique.choose((w) => sameBox(w.box, result.regions[k]?.box)),
  };
  const pictures = life ? (
    <LifePictures
      key={id}
      picture={
        <PaintingView
          attemptId={id}
          hasStrip={view.hasStrip}
          frame={result.frame}
          tones={tones.on}
          squint={view.squint}
          alt={tones.on ? 'The painting in its tones' : 'The painting, straightened'}
        />
      }
      greys={`/tones/${id}/drawn`}
      outlines={!view.squint && <RegionOutlines {...view} regions={result.regions} shift={STILL} />}
      setUp={life}
      painted={shown?.masses ?? []}
      judged={result.reference === 'masses'}
      frozen={frozen}
      busy={busy}
      judge={(edits) => run(() => actions.judgeByMasses(id, edits))}
    >
      <ToneShares
        name="painted"
        shares={result.tones.map((t) => t.share)}
        greys={result.tones.map((t, k) => t.lightness ?? greys[k] ?? 50)}
        labels={labels}
      />
    </LifePictures>
  ) : (
    <NotanPictures {...view} swap={swap.on} over={over.on} />
  );
  const holds = (
    <div className="grid grid-cols-3 gap-1">
      <HoldButton label="Tones" keyName="t" hold={tones} />
      {!life && <HoldButton label="Swap" keyName="r" hold={swap} />}
      {!life && <HoldButton label="Over" keyName="m" hold={over} />}
    </div>
  );
  const below = (
    <>
      {result.frame && (
        <FrameChoice
          frame={result.frame}
          frozen={frozen}
          busy={busy || critique.underWay}
          choose={(on) => run(() => actions.takeFrameAsDark(id, on))}
        />
      )}
      <ReadingChoice
        able={flipped !== undefined && !life}
        standing={standing}
        frozen={frozen}
        busy={busy}
        accept={accept}
        judge={() => run(() => actions.judgeOnceMore(id))}
        measure={() => run(() => props.actions.measureAgainstNow(id))}
        forget={() => run(() => actions.forgetReadings(handIn.exerciseId))}
        forEveryone={readingsForEveryone}
      />
      <NotanFacts result={result} labels={labels} numberUp={shown ? attemptName(shown, 'Photograph') : ''} />
    </>
  );
  return (
    <TableFrame
      {...props}
      critique={critique}
      pictures={pictures}
      holds={holds}
      below={below}
      keys={[...KEYS.slice(0, -1), ...(life ? LIFE_KEYS : NOTAN_KEYS), ...KEYS.slice(-1)]}
    />
  );
}
