'use client';
/** By what a class is graded: criteria with points, or with steps in words, each with the figure that stands beside it. */
import type { Criterion, Scheme } from '@/core/grading/scheme';
import { MOST_CRITERIA, MOST_LEVELS, SCHEME_VERSION, schemeSchema } from '@/core/grading/scheme';
import { FIGURE_KEYS, FIGURE_WORDS } from '@/core/kinds/figure-words';
import type { Figures } from '@/core/kinds/figures';
import { useState } from 'react';
import { useFieldArray, useForm, type UseFormReturn, useWatch } from 'react-hook-form';
import type { Answer } from '../parts/answer';
import { Trouble, useAsking } from '../parts/use-asking';

interface Props {
  /** Null while the class passes or comes again alone. */
  readonly now: Scheme | null;
  readonly save: (scheme: Scheme | null) => Promise<Answer<unknown, void>>;
}

type Form = UseFormReturn<Scheme>;
type Level = Extract<Criterion['by'], { kind: 'levels' }>['levels'][number];

const POINTS: Criterion['by'] = { kind: 'points', most: 10 };
const level = (name: string): Level => ({ name, words: '', points: null });
const LEVELS: Criterion['by'] = { kind: 'levels', levels: ['begun', 'coming', 'secure'].map(level) };
const fresh = (): Criterion => ({ id: crypto.randomUUID(), name: '', figure: null, by: POINTS });
const EMPTY: Scheme = { version: SCHEME_VERSION, shown: false, criteria: [] };
const number = { setValueAs: (typed: unknown) => (typed === '' || typed === null ? null : Number(typed)) };

function LevelFields({ form, place }: { form: Form; place: number }) {
  const levels = useFieldArray({ control: form.control, name: `criteria.${place}.by.levels` as never });
  return (
    <div className="grid gap-2">
      {levels.fields.map((field, k) => (
        <div key={field.id} className="grid grid-cols-2 items-end gap-2 sm:grid-cols-[8rem_1fr_5rem_auto]">
          <label>
            <span className="label">Step {k + 1}</span>
            <input className="field" {...form.register(`criteria.${place}.by.levels.${k}.name`)} />
          </label>
          <label>
            <span className="label">What it means</span>
            <input className="field" {...form.register(`criteria.${place}.by.levels.${k}.words`)} />
          </label>
          <label>
            <span className="label">Points</span>
            <input
              className="field"
              type="number"
              step="any"
              {...form.register(`criteria.${place}.by.levels.${k}.points`, number)}
            />
          </label>
          <button type="button" className="calm" onClick={() => levels.remove(k)}>
            Away<span className="sr-only"> with step {k + 1}</span>
          </button>
        </div>
      ))}
      {levels.fields.length < MOST_LEVELS && (
        <button type="button" className="calm justify-self-start" onClick={() => levels.append(level('') as never)}>
          One more step
        </button>
      )}
    </div>
  );
}

function CriterionFields({ form, place, remove }: { form: Form; place: number; remove: () => void }) {
  const kind = useWatch({ control: form.control, name: `criteria.${place}.by.kind` });
  return (
    <li className="grid min-w-0 grid-cols-1 gap-2 rounded-sm bg-l97 p-3">
      <div className="grid items-end gap-2 sm:grid-cols-[1fr_9rem_14rem_auto]">
        <label>
          <span className="label">What is looked at</span>
          <input className="field" {...form.register(`criteria.${place}.name`)} />
        </label>
        <label>
          <span className="label">Graded by</span>
          <select
            className="field"
            value={kind}
            onChange={(e) => form.setValue(`criteria.${place}.by`, e.target.value === 'points' ? POINTS : LEVELS)}
          >
            <option value="points">points</option>
            <option value="levels">steps in words</option>
          </select>
        </label>
        <label>
          <span className="label">Measured beside it</span>
          <select
            className="field"
            {...form.register(`criteria.${place}.figure`, {
              setValueAs: (typed: string | null) => (typed === '' ? null : (typed as keyof Figures | null)),
            })}
          >
            <option value="">nothing: by eye</option>
            {FIGURE_KEYS.map((key) => (
              <option key={key} value={key}>
                {FIGURE_WORDS[key].label}
              </option>
            ))}
          </select>
        </label>
        <button type="button" className="calm" onClick={remove}>
          Away<span className="sr-only"> with criterion {place + 1}</span>
        </button>
      </div>
      {kind === 'points' ? (
        <label className="w-32">
          <span className="label">Points at most</span>
          <input
            className="field"
            type="number"
            step="any"
            {...form.register(`criteria.${place}.by.most`, { valueAsNumber: true })}
          />
        </label>
      ) : (
        <LevelFields form={form} place={place} />
      )}
    </li>
  );
}

export function SchemeForm({ now, save }: Props) {
  const form = useForm<Scheme>({ defaultValues: now ?? EMPTY });
  const criteria = useFieldArray({ control: form.control, name: 'criteria', keyName: 'key' });
  const [wrong, setWrong] = useState('');
  const [said, setSaid] = useState('');
  const { busy, trouble, ask } = useAsking();
  const send = form.handleSubmit((given) => {
    setSaid('');
    // Without any criterion hand-ins pass, or come once more.
    const read = given.criteria.length === 0 ? { data: null } : schemeSchema.safeParse(given);
    setWrong(read.data === undefined ? (read.error?.issues[0]?.message ?? '') : '');
    if (read.data !== undefined)
      ask(
        () => save(read.data),
        () => setSaid('Kept.'),
      );
  });
  return (
    <form onSubmit={(e) => void send(e)} className="grid gap-3">
      {criteria.fields.length === 0 && (
        <p>Hand-ins pass, or come once more. Criteria give grades besides; nothing is graded by itself.</p>
      )}
      <ol className="grid grid-cols-1 gap-3">
        {criteria.fields.map((field, place) => (
          <CriterionFields key={field.key} form={form} place={place} remove={() => criteria.remove(place)} />
        ))}
      </ol>
      <div className="flex flex-wrap items-center gap-3">
        {criteria.fields.length < MOST_CRITERIA && (
          <button type="button" className="calm" onClick={() => criteria.append(fresh())}>
            One more criterion
          </button>
        )}
        <label className="flex min-h-10 items-center gap-2">
          <input type="checkbox" className="h-5 w-5 accent-ink" {...form.register('shown')} />
          Students see their grades with the letter
        </label>
        <button className="act ml-auto" disabled={busy}>
          Keep the scheme
        </button>
      </div>
      <p role="status" className="quiet min-h-5">
        {said}
      </p>
      <Trouble say={wrong === '' ? trouble : wrong} />
    </form>
  );
}
