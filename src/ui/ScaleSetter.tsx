'use client';
/** Sets a value scale: choices on the left, the sheet that comes of them on the right, drawn while you choose. */
import { useEffect, useState, useTransition } from 'react';
import { MEDIA, MEDIUM_IDS, type MediumId } from '@/core/exercise/media';
import { defaultScale, MAX_STEPS, MIN_STEPS, type ScaleExercise, STEP_PRESETS } from '@/core/exercise/scale';
import { targetLightnesses } from '@/core/scale/targets';
import { cssGrey } from './grey';

export interface ScaleForm {
  readonly classId: string;
  readonly title: string;
  readonly note: string;
  readonly due: string;
  readonly terms: ScaleExercise;
}

type Answer<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly say: string };

interface Props {
  readonly classes: readonly { readonly id: string; readonly name: string }[];
  readonly draw: (form: ScaleForm) => Promise<Answer<string>>;
  readonly save: (form: ScaleForm) => Promise<Answer<null>>;
}

function Choice<T extends string>({ label, value, options, onChange }: { label: string; value: T; options: readonly (readonly [T, string])[]; onChange: (v: T) => void }) {
  return (
    <label>
      <span className="label">{label}</span>
      <select className="field" value={value} onChange={(e) => onChange(e.target.value as T)}>
        {options.map(([v, words]) => (
          <option key={v} value={v}>
            {words}
          </option>
        ))}
      </select>
    </label>
  );
}

export function ScaleSetter({ classes, draw, save }: Props) {
  const [form, setForm] = useState<ScaleForm>({
    classId: classes[0]?.id ?? '',
    title: 'Nine greys from white to black',
    note: '',
    due: '',
    terms: defaultScale(),
  });
  const [picture, setPicture] = useState('');
  const [trouble, setTrouble] = useState('');
  const [busy, start] = useTransition();
  const { terms } = form;
  const put = (change: Partial<ScaleForm>) => setForm((f) => ({ ...f, ...change }));
  const set = (change: Partial<ScaleExercise>) => setForm((f) => ({ ...f, terms: { ...f.terms, ...change } }));

  const { classId, title } = form;
  useEffect(() => {
    let stale = false;
    const timer = setTimeout(() => {
      void draw({ classId, title, note: '', due: '', terms }).then((answer) => {
        if (stale) return;
        if (answer.ok) setPicture(answer.value);
        setTrouble(answer.ok ? '' : answer.say);
      });
    }, 150);
    return () => {
      stale = true;
      clearTimeout(timer);
    };
  }, [draw, classId, title, terms]);

  const validEnds = terms.ends.light - terms.ends.dark >= 20;
  return (
    <div className="grid h-full gap-4 p-4 lg:grid-cols-[1fr_30rem]">
      <form
        className="panel grid auto-rows-min grid-cols-3 gap-x-4 gap-y-3"
        onSubmit={(e) => {
          e.preventDefault();
          start(async () => {
            const answer = await save(form);
            if (answer && !answer.ok) setTrouble(answer.say);
          });
        }}
      >
        <h1 className="col-span-3 text-24 font-semibold">Set a value scale</h1>
        <label className="col-span-2">
          <span className="label">Title</span>
          <input className="field" value={form.title} onChange={(e) => put({ title: e.target.value })} required />
        </label>
        <Choice label="Class" value={form.classId} options={classes.map((c) => [c.id, c.name] as const)} onChange={(v) => put({ classId: v })} />
        <div className="col-span-3">
          <label className="label" htmlFor="steps">
            Steps: {terms.steps}
          </label>
          <div className="flex h-9" aria-hidden>
            {validEnds &&
              targetLightnesses(terms.steps, terms.ends, terms.order, terms.spacing).map((l, i) => (
                <span key={i} className="flex-1" style={{ background: cssGrey(l) }} />
              ))}
          </div>
          <input
            id="steps"
            type="range"
            className="mt-2 w-full accent-ink"
            min={MIN_STEPS}
            max={MAX_STEPS}
            value={terms.steps}
            onChange={(e) => set({ steps: Number(e.target.value) })}
          />
          <div className="flex gap-2">
            {STEP_PRESETS.map((n) => (
              <button key={n} type="button" aria-pressed={n === terms.steps} className={`h-8 w-10 cursor-pointer rounded-sm border border-l37 ${n === terms.steps ? 'bg-l20 text-l97' : 'bg-l97'}`} onClick={() => set({ steps: n })}>
                {n}
              </button>
            ))}
          </div>
        </div>
        <label>
          <span className="label">Due</span>
          <input className="field" type="date" value={form.due} onChange={(e) => put({ due: e.target.value })} />
        </label>
        <Choice
          label="Paint"
          value={terms.medium}
          options={MEDIUM_IDS.map((m) => [m, MEDIA[m].name] as const)}
          onChange={(m: MediumId) => set({ medium: m, ends: { ...MEDIA[m].ends } })}
        />
        <Choice label="Paper" value={terms.paper} options={[['a4', 'A4'], ['letter', 'Letter']] as const} onChange={(paper) => set({ paper })} />
        <Choice label="First cell" value={terms.order} options={[['light-first', 'white'], ['dark-first', 'black']] as const} onChange={(order) => set({ order })} />
        <Choice
          label="Order of work"
          value={terms.workOrder}
          options={[['ends-first', 'ends, middle, then halves'], ['light-to-dark', 'light to dark'], ['dark-to-light', 'dark to light']] as const}
          onChange={(workOrder) => set({ workOrder })}
        />
        <Choice label="Evenly spaced in" value={terms.spacing} options={[['lightness', 'lightness (L*)'], ['munsell', 'Munsell value']] as const} onChange={(spacing) => set({ spacing })} />
        <Choice
          label="Between"
          value={terms.anchor}
          options={[['medium', 'what the paint reaches'], ['own', 'the student’s own ends'], ['theoretical', 'theoretical black and white']] as const}
          onChange={(anchor) => set({ anchor })}
        />
        <label>
          <span className="label">White end, L* (estimate)</span>
          <input className="field" type="number" min={0} max={100} value={terms.ends.light} onChange={(e) => set({ ends: { ...terms.ends, light: Number(e.target.value) } })} />
        </label>
        <label>
          <span className="label">Black end, L* (estimate)</span>
          <input className="field" type="number" min={0} max={100} value={terms.ends.dark} onChange={(e) => set({ ends: { ...terms.ends, dark: Number(e.target.value) } })} />
        </label>
        <Choice
          label="How strict"
          value={String(terms.toleranceSteps)}
          options={[['0.35', 'strict: a third of a step'], ['0.5', 'usual: half a step'], ['0.75', 'kind: three quarters of a step']] as const}
          onChange={(v) => set({ toleranceSteps: Number(v) })}
        />
        <label className="col-span-2 flex items-center gap-2 self-end pb-2">
          <input type="checkbox" className="h-5 w-5 accent-ink" checked={terms.groundMayStand} onChange={(e) => set({ groundMayStand: e.target.checked })} />
          Bare paper may stand for white
        </label>
        <label className="col-span-3">
          <span className="label">A word to the class</span>
          <textarea className="field" rows={2} value={form.note} onChange={(e) => put({ note: e.target.value })} />
        </label>
        {trouble && (
          <p role="alert" className="trouble col-span-3">
            {trouble}
          </p>
        )}
        <button className="act col-span-3" disabled={busy}>
          {busy ? 'Setting …' : 'Set it'}
        </button>
      </form>
      <figure className="flex items-start justify-center" aria-label="The sheet as it will print">
        <div className="aspect-[210/297] w-full bg-white [&>svg]:h-full [&>svg]:w-full" dangerouslySetInnerHTML={{ __html: picture }} />
      </figure>
    </div>
  );
}
