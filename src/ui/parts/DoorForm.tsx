'use client';
/** A short form at the door: fields, one button, one sentence when it does not work. */
import { useActionState } from 'react';

export interface DoorField {
  readonly name: string;
  readonly label: string;
  readonly type?: string;
  readonly hint?: string;
  readonly autoComplete?: string;
}

type Answer = { readonly ok: boolean; readonly say?: string } | null;

interface Props {
  readonly fields: readonly DoorField[];
  readonly button: string;
  readonly action: (state: never, form: FormData) => Promise<unknown>;
}

export function DoorForm({ fields, button, action }: Props) {
  const [answer, submit, busy] = useActionState(action as (s: Answer, f: FormData) => Promise<Answer>, null);
  return (
    <form action={submit} className="grid gap-4">
      {fields.map((f) => (
        <label key={f.name} className="block">
          <span className="label">{f.label}</span>
          <input className="field" name={f.name} type={f.type ?? 'text'} autoComplete={f.autoComplete} required />
          {f.hint && <span className="quiet">{f.hint}</span>}
        </label>
      ))}
      {answer && !answer.ok && (
        <p role="alert" className="trouble">
          {answer.say}
        </p>
      )}
      <button className="act" disabled={busy}>
        {busy ? 'One moment …' : button}
      </button>
    </form>
  );
}
