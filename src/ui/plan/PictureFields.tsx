'use client';
/** What a painted picture is judged by: the points on which studios differ. */
import type { Judging } from '@/core/exercise/judging';
import type { PictureTerms } from '@/core/exercise/terms';
import { Amount, Choice, Lines, Tick } from './fields';

type Set = (change: Partial<PictureTerms>) => void;

const TONE_WORDS = ['two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve'];

function OwnFields({ terms, set }: { terms: PictureTerms; set: Set }) {
  switch (terms.kind) {
    case 'notan':
      return (
        <>
          <Choice
            label="Tones"
            value={String(terms.tones)}
            options={TONE_WORDS.map((word, i) => [String(i + 2), word] as const)}
            onChange={(v) => set({ tones: Number(v) })}
          />
          <Choice
            label="What is dark"
            value={terms.school}
            options={
              [
                ['light-and-shadow', 'all that lies in shadow'],
                ['threshold', 'all darker than a line'],
              ] as const
            }
            onChange={(school) => set({ school })}
          />
        </>
      );
    case 'five-value':
      return (
        <Tick
          label="White last, and little of it"
          checked={terms.whiteSparing}
          onChange={(whiteSparing) => set({ whiteSparing })}
        />
      );
    case 'quick-studies':
      return (
        <>
          <Amount
            label="Minutes each (0: no timer)"
            value={terms.minutes ?? 0}
            min={0}
            max={120}
            onChange={(m) => set({ minutes: m > 0 ? m : null })}
          />
          <Lines
            label="Goals, one a line"
            hint="One frame for each; up to six. Nobody counts the time."
            value={terms.goals}
            onChange={(goals) => set({ goals })}
          />
        </>
      );
    case 'limited-palette':
      return (
        <Lines
          label="Paints of the first round, one a line"
          hint="Each later round leaves the last one out."
          value={terms.paints}
          onChange={(paints) => set({ paints })}
        />
      );
    case 'monochrome-painting':
      return (
        <>
          <Choice
            label="From"
            value={terms.subject}
            options={
              [
                ['set-up', 'a set-up'],
                ['picture', 'a picture'],
              ] as const
            }
            onChange={(subject) => set({ subject })}
          />
          <Choice
            label="Way"
            value={terms.way}
            options={
              [
                ['single-sitting', 'in one sitting'],
                ['staged', 'staged, drying between'],
              ] as const
            }
            onChange={(way) => set({ way })}
          />
          {terms.way === 'staged' && (
            <Amount
              label="Early stages told from, steps"
              value={terms.earlyToleranceSteps}
              min={0.2}
              max={3}
              step={0.1}
              onChange={(earlyToleranceSteps) => set({ earlyToleranceSteps })}
            />
          )}
          <Tick label="Glazed at the end" checked={terms.glaze} onChange={(glaze) => set({ glaze })} />
        </>
      );
    default:
      return null;
  }
}

export function PictureFields({ terms, set }: { terms: PictureTerms; set: Set }) {
  const { judging } = terms;
  const judge = (change: Partial<Judging>) => set({ judging: { ...judging, ...change } });
  return (
    <>
      <OwnFields terms={terms} set={set} />
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
