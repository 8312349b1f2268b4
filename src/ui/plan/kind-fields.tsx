'use client';
/** The fields that each kind of exercise has of its own: one entry a kind; a kind without one has none. */
import type { ExerciseKind, ExerciseTerms, SteppedTerms, TermsOf } from '@/core/exercise/terms';
import type { ReactNode } from 'react';
import { Amount, Choice, Lines, Tick } from '../parts/fields';
import { BandFields } from './BandFields';
import { HueField } from './HueField';
import { CountOfSteps, OrderOfSteps } from './StepFields';

interface OfKind<T> {
  readonly terms: T;
  readonly set: (change: Partial<T>) => void;
}

const TONE_WORDS = ['two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve'];

/** How many cells, from which end, in which order. */
function Row({ terms, set }: OfKind<SteppedTerms>) {
  return (
    <>
      <CountOfSteps name="Steps" terms={terms} set={set} />
      <OrderOfSteps terms={terms} set={set} />
    </>
  );
}

const FIELDS: { readonly [K in ExerciseKind]?: (own: OfKind<TermsOf<K>>) => ReactNode } = {
  scale: ({ terms, set }) => <Row terms={terms} set={set as OfKind<SteppedTerms>['set']} />,
  'monochrome-scale': ({ terms, set }) => (
    <>
      <Row terms={terms} set={set as OfKind<SteppedTerms>['set']} />
      <HueField terms={terms} set={set} />
    </>
  ),
  bands: ({ terms, set }) => (
    <>
      <CountOfSteps name="Bands" terms={terms} set={set as OfKind<SteppedTerms>['set']} />
      <BandFields terms={terms} set={set} />
      <HueField
        terms={terms}
        set={({ hue, ...change }) => set({ ...change, ...(hue !== undefined && { hue: hue || null }) })}
        orGreys
      />
    </>
  ),
  'colours-on-scale': ({ terms, set }) => (
    <>
      <Row terms={terms} set={set as OfKind<SteppedTerms>['set']} />
      <Amount label="Chips" value={terms.chips} min={4} max={15} onChange={(chips) => set({ chips })} />
    </>
  ),
  notan: ({ terms, set }) => (
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
  ),
  'five-value': ({ terms, set }) => (
    <Tick
      label="White last, and little of it"
      checked={terms.whiteSparing}
      onChange={(whiteSparing) => set({ whiteSparing })}
    />
  ),
  'quick-studies': ({ terms, set }) => (
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
  ),
  'limited-palette': ({ terms, set }) => (
    <Lines
      label="Paints of the first round, one a line"
      hint="Each later round leaves the last one out."
      value={terms.paints}
      onChange={(paints) => set({ paints })}
    />
  ),
  'monochrome-painting': ({ terms, set }) => (
    <>
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
      <Tick label="One touch of another colour allowed" checked={terms.accent} onChange={(accent) => set({ accent })} />
    </>
  ),
};

/** The own fields of a kind. A change comes from the fields of this very kind, so that what is put together is whole. */
export function KindFields({ terms, set }: { terms: ExerciseTerms; set: (change: object) => void }) {
  const fields = FIELDS[terms.kind] as ((own: OfKind<ExerciseTerms>) => ReactNode) | undefined;
  return fields ? <>{fields({ terms, set })}</> : null;
}
