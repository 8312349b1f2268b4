'use client';
/** Steps: how many, from which end, how spaced, between which ends. Every kind with a row of steps has these. */
import { STEP_PRESETS } from '@/core/exercise/scale';
import type { SteppedTerms } from '@/core/exercise/terms';
import { valuesOf } from '@/core/kinds/table';
import { MAX_STEPS, MIN_STEPS } from '@/core/sheet/scale-layout';
import { ValueStrip } from '../instruments/ValueStrip';
import { Choice, Tick } from '../parts/fields';

interface Props {
  readonly terms: SteppedTerms;
  readonly set: (change: Partial<SteppedTerms>) => void;
}

/** How many there are, with the greys that come of it. */
export function CountOfSteps({ name, terms, set }: Props & { readonly name: string }) {
  return (
    <div className="sm:col-span-3">
      <label className="label" htmlFor="steps">
        {name}: {terms.steps}
      </label>
      {terms.ends.light - terms.ends.dark >= 20 && <ValueStrip values={valuesOf(terms)} />}
      <div className="mt-2 flex items-center gap-2">
        <input
          id="steps"
          type="range"
          className="min-w-0 flex-1 accent-ink"
          min={MIN_STEPS}
          max={MAX_STEPS}
          value={terms.steps}
          onChange={(e) => set({ steps: Number(e.target.value) })}
        />
        {STEP_PRESETS.map((n) => (
          <button
            key={n}
            type="button"
            aria-pressed={n === terms.steps}
            className="choice h-8 min-h-8 w-9 px-0"
            onClick={() => set({ steps: n })}
          >
            {n}
          </button>
        ))}
      </div>
    </div>
  );
}

/** From which end they are read, and in which order they are painted. */
export function OrderOfSteps({ terms, set }: Props) {
  return (
    <>
      <Choice
        label="First cell"
        value={terms.order}
        options={
          [
            ['light-first', 'white'],
            ['dark-first', 'black'],
          ] as const
        }
        onChange={(order) => set({ order })}
      />
      <Choice
        label="Order of work"
        value={terms.workOrder}
        options={
          [
            ['ends-first', 'ends, middle, then halves'],
            ['light-to-dark', 'light to dark'],
            ['dark-to-light', 'dark to light'],
          ] as const
        }
        onChange={(workOrder) => set({ workOrder })}
      />
    </>
  );
}

/** Choices about steps that are seldom touched. */
export function FinerStepFields({ terms, set }: Props) {
  return (
    <>
      <Choice
        label="Evenly spaced in"
        value={terms.spacing}
        options={
          [
            ['lightness', 'lightness (L*)'],
            ['munsell', 'Munsell value'],
          ] as const
        }
        onChange={(spacing) => set({ spacing })}
      />
      <Choice
        label="Between"
        value={terms.anchor}
        options={
          [
            ['medium', 'what the paint reaches'],
            ['own', 'the student’s own ends'],
            ['theoretical', 'theoretical black and white'],
          ] as const
        }
        onChange={(anchor) => set({ anchor })}
      />
      <Tick
        label="Bare paper may stand for white"
        checked={terms.groundMayStand}
        onChange={(groundMayStand) => set({ groundMayStand })}
      />
    </>
  );
}
