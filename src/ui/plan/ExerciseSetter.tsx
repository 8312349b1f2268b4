'use client';
/** Sets an exercise of any kind: the kinds at the left, choices beside them, the sheet that comes of it at the right. */
import { inSteps } from '@/core/critique/amounts';
import { MEDIA, MEDIUM_IDS, type MediumId } from '@/core/exercise/media';
import { type ExerciseKind, type ExerciseTerms, isPicture, isStepped } from '@/core/exercise/terms';
import type { Kind } from '@/core/kinds/kind';
import { defaultTerms, isMeasured, KIND_IDS, kindById } from '@/core/kinds/table';
import { useEffect, useState, useTransition } from 'react';
import { Amount, Choice } from '../parts/fields';
import { KindFields } from './kind-fields';
import { MaterialFields } from './MaterialFields';
import { PaintedFrom } from './PaintedFrom';
import { PictureFields } from './PictureFields';
import { FinerStepFields } from './StepFields';

export interface ExerciseForm {
  readonly classId: string;
  readonly title: string;
  readonly note: string;
  /** ISO day, or empty. */
  readonly due: string;
  readonly overrideReason: string;
  readonly terms: ExerciseTerms;
  /** The picture, or the set-up, that it is painted from; both empty for nothing that is kept here. */
  readonly referenceId: string;
  readonly setUpId: string;
}

type Answer<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly say: string };

interface Props {
  readonly classes: readonly {
    readonly id: string;
    readonly name: string;
    readonly underSixteen: boolean;
    readonly school: boolean;
  }[];
  readonly references: readonly { readonly id: string; readonly title: string }[];
  readonly setUps: readonly { readonly id: string; readonly title: string }[];
  /** What is being revised; null for a new exercise. */
  readonly revised: ExerciseForm | null;
  readonly draw: (form: ExerciseForm) => Promise<Answer<string>>;
  readonly save: (form: ExerciseForm) => Promise<Answer<null>>;
}

/** What is said of a kind that is judged by eye as it is set. */
const BY_EYE: Record<`${Kind['measured']}`, string> = {
  true: '',
  'with-reference':
    'Choose a prepared picture or a set-up below, and hand-ins are measured against it; without one you judge them by eye.',
  'with-picture':
    'Choose a prepared picture below, and hand-ins are measured against it; without one you judge them by eye.',
  false: 'Fair Grey does not measure this kind yet: hand-ins are kept and shown, and you judge them by eye.',
};

const FROM_NOTHING = { referenceId: '', setUpId: '' };
const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);
const usual = (kind: ExerciseKind, medium: MediumId): ExerciseTerms => defaultTerms(kind, medium);

export function ExerciseSetter({ classes, references, setUps, revised, draw, save }: Props) {
  const [form, setForm] = useState<ExerciseForm>(
    revised ?? {
      classId: classes[0]?.id ?? '',
      title: kindById('scale').usualTitle,
      note: '',
      due: '',
      overrideReason: '',
      terms: defaultTerms('scale'),
      ...FROM_NOTHING,
    },
  );
  const [picture, setPicture] = useState('');
  const [trouble, setTrouble] = useState('');
  const [busy, start] = useTransition();
  const { classId, title, terms } = form;
  const put = (change: Partial<ExerciseForm>) => setForm((f) => ({ ...f, ...change }));
  // A change comes from the fields of this very kind, so that what is put together is whole.
  const set = (change: object) => setForm((f) => ({ ...f, terms: { ...f.terms, ...change } as ExerciseTerms }));
  // A painting is from a set-up or from a picture: whatever it is painted from says which.
  const paintedFrom = (from: Pick<ExerciseForm, 'referenceId' | 'setUpId'>) => {
    put(from);
    if ('subject' in terms && (from.referenceId || from.setUpId)) set({ subject: from.setUpId ? 'set-up' : 'picture' });
  };
  const kind = kindById(terms.kind);
  const group = classes.find((c) => c.id === classId) ?? { underSixteen: false, school: false };

  useEffect(() => {
    let stale = false;
    const timer = setTimeout(() => {
      void draw({ classId, title, note: '', due: '', overrideReason: '', terms, ...FROM_NOTHING }).then((answer) => {
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

  return (
    <div className="grid min-h-full gap-4 p-4 lg:grid-cols-[12rem_minmax(0,1fr)_24rem]">
      <nav className="panel self-start p-2" aria-label="Kind of exercise">
        {KIND_IDS.map((kind) => (
          <button
            key={kind}
            type="button"
            aria-pressed={kind === terms.kind}
            disabled={revised !== null && kind !== terms.kind}
            className="choice block w-full border-transparent text-left not-aria-pressed:bg-transparent not-aria-pressed:enabled:hover:bg-l88"
            onClick={() => put({ terms: usual(kind, terms.medium), title: kindById(kind).usualTitle })}
          >
            {kindById(kind).name}
          </button>
        ))}
      </nav>
      <form
        className="panel grid auto-rows-min grid-cols-1 gap-x-4 gap-y-2.5 self-start sm:grid-cols-3"
        onSubmit={(e) => {
          e.preventDefault();
          start(async () => {
            const answer = await save(form);
            if (answer && !answer.ok) setTrouble(answer.say);
          });
        }}
      >
        <div className="sm:col-span-3">
          <h1 className="text-24 font-semibold leading-tight">
            {revised ? `Revise: ${kind.name}` : capital(kind.name)}
          </h1>
          <p>{kind.task}</p>
          {!isMeasured(terms.kind, { referenceId: form.referenceId || null, setUpId: form.setUpId || null }) && (
            <p className="quiet">{BY_EYE[`${kind.measured}`]}</p>
          )}
        </div>
        <label className="sm:col-span-2">
          <span className="label">Title</span>
          <input className="field" value={title} onChange={(e) => put({ title: e.target.value })} required />
        </label>
        {revised ? (
          <span />
        ) : (
          <Choice
            label="Class"
            value={classId}
            options={classes.map((c) => [c.id, c.name] as const)}
            onChange={(v) => put({ classId: v })}
          />
        )}
        <KindFields terms={terms} set={set} />
        {isPicture(terms) && <PaintedFrom references={references} setUps={setUps} form={form} put={paintedFrom} />}
        {isPicture(terms) && <PictureFields terms={terms} set={set} />}
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
        <Choice
          label="Paper"
          value={terms.paper}
          options={
            [
              ['a4', 'A4'],
              ['letter', 'Letter'],
            ] as const
          }
          onChange={(paper) => set({ paper })}
        />
        <label className="sm:col-span-3">
          <span className="label">A word to the class</span>
          <textarea className="field" rows={1} value={form.note} onChange={(e) => put({ note: e.target.value })} />
        </label>
        <details className="sm:col-span-3 rounded-sm bg-l97 p-2">
          <summary className="min-h-8 cursor-pointer">
            Finer choices: between L* {terms.ends.light} and {terms.ends.dark}, told from{' '}
            {inSteps(terms.toleranceSteps)} off
          </summary>
          <div className="grid gap-x-4 gap-y-2.5 pt-2 sm:grid-cols-3">
            <Amount
              label="White end, L* (estimate)"
              value={terms.ends.light}
              min={0}
              max={100}
              onChange={(light) => set({ ends: { ...terms.ends, light } })}
            />
            <Amount
              label="Black end, L* (estimate)"
              value={terms.ends.dark}
              min={0}
              max={100}
              onChange={(dark) => set({ ends: { ...terms.ends, dark } })}
            />
            <Choice
              label="How strict"
              value={String(terms.toleranceSteps)}
              options={
                [
                  ['0.35', 'strict: a third of a step'],
                  ['0.5', 'usual: half a step'],
                  ['0.75', 'kind: three quarters of a step'],
                ] as const
              }
              onChange={(v) => set({ toleranceSteps: Number(v) })}
            />
            {isStepped(terms) && <FinerStepFields terms={terms} set={set} />}
          </div>
        </details>
        <MaterialFields
          medium={terms.medium}
          materials={terms.materials}
          group={group}
          set={(materials) => set({ materials })}
          reason={form.overrideReason}
          onReason={(overrideReason) => put({ overrideReason })}
        />
        {trouble && (
          <p role="alert" className="trouble sm:col-span-3">
            {trouble}
          </p>
        )}
        <button className="act col-span-full" disabled={busy}>
          {busy ? 'Setting …' : revised ? 'Keep the revision' : 'Set it'}
        </button>
      </form>
      <figure className="self-start" aria-label="The sheet as it will print">
        <div
          className="aspect-[210/297] w-full bg-white [&>svg]:h-full [&>svg]:w-full"
          dangerouslySetInnerHTML={{ __html: picture }}
        />
      </figure>
    </div>
  );
}
