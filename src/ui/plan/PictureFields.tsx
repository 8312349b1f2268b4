'use client';
/** What a painted picture is judged by: the points on which studios differ. */
import type { Judging } from '@/core/exercise/judging';
import type { PictureTerms } from '@/core/exercise/terms';
import { Amount, Choice, Tick } from '../parts/fields';

type Set = (change: Partial<PictureTerms>) => void;

export function PictureFields({ terms, set }: { terms: PictureTerms; set: Set }) {
  const { judging } = terms;
  const judge = (change: Partial<Judging>) => set({ judging: { ...judging, ...change } });
  return (
    <>
      <Choice
        label="Key"
        value={judging.key}
        options={
          [
            ['full', 'full range'],
            ['high', 'high: light'],
            ['middle', 'middle'],
            ['low', 'low: dark'],
          ] as const
        }
        onChange={(key) => judge({ key })}
      />
      <Choice
        label="Ground"
        value={judging.ground}
        options={
          [
            ['covered', 'must be covered'],
            ['for-a-step', 'stands for one value'],
            ['for-the-shadow', 'stands for the shadow'],
          ] as const
        }
        onChange={(ground) => judge({ ground })}
      />
      <Choice
        label="Reflected light"
        value={judging.rulesWin ? 'rule' : 'reference'}
        options={
          [
            ['reference', 'as in the reference'],
            ['rule', 'below the halftones'],
          ] as const
        }
        onChange={(v) => judge({ rulesWin: v === 'rule' })}
      />
      <Amount
        label="Push, percent"
        value={judging.pushPercent}
        min={0}
        max={50}
        step={5}
        onChange={(pushPercent) => judge({ pushPercent })}
      />
      <Amount
        label="Smallest shape, % of width"
        value={judging.smallestShapePercent}
        min={0.5}
        max={20}
        step={0.5}
        onChange={(smallestShapePercent) => judge({ smallestShapePercent })}
      />
      <div className="grid">
        <Tick
          label="Edges are looked at"
          checked={judging.edgesWanted}
          onChange={(edgesWanted) => judge({ edgesWanted })}
        />
        <Tick
          label="A black frame round it"
          checked={judging.blackFrame}
          onChange={(blackFrame) => judge({ blackFrame })}
        />
        <Tick
          label="Colour is looked at"
          checked={judging.colourPass}
          onChange={(colourPass) => judge({ colourPass })}
        />
      </div>
    </>
  );
}
