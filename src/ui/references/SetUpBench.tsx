'use client';
/** A set-up from life: what it is called, how it is lit, its masses at the left and what is asked of the picked one at the right. */
import { MOST_MASSES, type SetUp } from '@/core/reference/set-up';
import { useState } from 'react';
import type { Answer } from '../parts/answer';
import { Amount } from '../parts/fields';
import { useKeys } from '../parts/use-keys';
import { UsesList } from '../plan/UsesList';
import { KeepButton } from './KeepButton';
import { MassFields, newMass } from './MassFields';
import { type Keep, useKeeping } from './use-keeping';

interface Kept {
  readonly title: string;
  readonly note: string;
  readonly setUp: SetUp;
}
interface Props extends Kept {
  readonly written: number;
  readonly uses: readonly { readonly id: string; readonly title: string; readonly className: string }[];
  readonly keep: Keep<Kept>;
  readonly drop: () => Promise<Answer>;
}

export function SetUpBench({ written, uses, keep, drop, ...start }: Props) {
  const keeping = useKeeping<Kept>(start, written, keep);
  const { own, setOwn, busy, trouble } = keeping;
  const [pickedId, setPicked] = useState(start.setUp.masses[0]?.id ?? '');
  const { setUp } = own;
  const picked = setUp.masses.find((m) => m.id === pickedId) ?? null;
  const put = (change: Partial<SetUp>) => setOwn({ ...own, setUp: { ...setUp, ...change } });
  const add = () => {
    const id = crypto.randomUUID().slice(0, 8);
    put({ masses: [...setUp.masses, { id, ...newMass(`mass ${setUp.masses.length + 1}`) }] });
    setPicked(id);
  };
  useKeys({ k: keeping.save });
  return (
    <div className="grid gap-4 p-4 lg:grid-cols-[1fr_20rem]">
      <section className="panel grid gap-3 self-start">
        <h1 className="text-24 font-semibold">{own.title || 'A set-up'}</h1>
        <p>
          A set-up is painted from life, and nobody sits where another sits. Name its masses here, once. When a hand-in
          comes, you show on that very picture where each lies: whole shapes by a press, the rest with a brush. Then
          their values are judged.
        </p>
        <div className="grid grid-cols-2 gap-3">
          <label>
            <span className="label">What it is called</span>
            <input
              className="field"
              value={own.title}
              maxLength={80}
              onChange={(e) => setOwn({ ...own, title: e.target.value })}
            />
          </label>
          <label>
            <span className="label">Where it stands, how it is lit</span>
            <input className="field" value={own.note} onChange={(e) => setOwn({ ...own, note: e.target.value })} />
          </label>
          <Amount
            label="How many lights"
            value={setUp.lights}
            min={1}
            max={4}
            onChange={(lights) => put({ lights: Math.min(4, Math.max(1, Math.round(lights))) })}
          />
          <Amount
            label="Steps are allotted among, tones"
            value={setUp.tones}
            min={2}
            max={12}
            onChange={(tones) => put({ tones: Math.min(12, Math.max(2, Math.round(tones))) })}
          />
        </div>
        <h2 className="label">Its masses</h2>
        <ul className="grid gap-1" aria-label="Masses">
          {setUp.masses.map((m, k) => (
            <li key={m.id} className="flex gap-2">
              <button
                type="button"
                aria-pressed={m.id === pickedId}
                className="choice flex-1 text-left"
                onClick={() => setPicked(m.id)}
              >
                {k + 1}. {m.name}
                {m.steps && (
                  <span className="float-right">
                    {m.steps.from === m.steps.to ? `step ${m.steps.from}` : `steps ${m.steps.from} to ${m.steps.to}`} of{' '}
                    {m.steps.of ?? setUp.tones}
                  </span>
                )}
              </button>
            </li>
          ))}
        </ul>
        {setUp.masses.length === 0 && (
          <p>None yet. Begin with what is lit and what is not: jug &gt; lit side, jug &gt; shadow, table, ground.</p>
        )}
        <button
          type="button"
          className="calm justify-self-start"
          disabled={setUp.masses.length >= MOST_MASSES}
          onClick={add}
        >
          Add a mass
        </button>
      </section>
      <aside className="panel grid content-start gap-3 self-start" aria-label="The picked mass">
        {trouble && (
          <p role="alert" className="trouble">
            {trouble}
          </p>
        )}
        {picked ? (
          <fieldset className="grid gap-2" key={picked.id}>
            <legend className="label">{picked.name}</legend>
            <MassFields
              mass={picked}
              lights={setUp.lights}
              tones={setUp.tones}
              onChange={(change) =>
                put({ masses: setUp.masses.map((m) => (m.id === picked.id ? { ...m, ...change } : m)) })
              }
            />
            <button
              type="button"
              className="calm"
              onClick={() => put({ masses: setUp.masses.filter((m) => m.id !== picked.id) })}
            >
              Take this mass away
            </button>
          </fieldset>
        ) : (
          <p className="quiet">Pick a mass to say what it is.</p>
        )}
        <KeepButton {...keeping} />
        <UsesList
          uses={uses}
          what="set-up"
          gone="What its masses are called is deleted for good. Hand-ins that were judged by it keep what was said."
          busy={busy}
          drop={() => keeping.ask(drop)}
        />
      </aside>
    </div>
  );
}
