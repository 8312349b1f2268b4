'use client';
/** A short form at the door: fields, one button, one sentence when it does not work. */
import { useActionState, useState } from 'react';

export interface DoorField {
  readonly name: string;
  readonly label: string;
  readonly type?: string;
  readonly hint?: string;
  readonly autoComplete?: string;
}

type Answer = { readonly ok: boolean; readonly say?: string; readonly more?: boolean } | null;

interface Props {
  readonly fields: readonly DoorField[];
  /** What is asked for besides, where the fields were right and are not enough. */
  readonly more?: DoorField;
  readonly button: string;
  readonly action: (state: never, form: FormData) => Promise<unknown>;
}

export function DoorForm({ fields, more, button, action }: Props) {
  // What was typed in stays: whoever is asked for more does not type it again.
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({});
  const [answer, submit, busy] = useActionState(async (state: Answer, form: FormData) => {
    setTyped(Object.fromEntries([...form].filter((entry): entry is [string, string] => typeof entry[1] === 'string')));
    return (action as (s: Answer, f: FormData) => Promise<Answer>)(state, form);
  }, null);
  const asksMore = answer?.more === true && more !== undefined;
  const shown = asksMore ? [...fields, more] : fields;
  return (
    <form action={submit} className="grid gap-4">
      {shown.map((f) => (
        <label key={f.name} className="block">
          <span className="label">{f.label}</span>
          <input
            className="field"
            name={f.name}
            type={f.type ?? 'text'}
            autoComplete={f.autoComplete}
            defaultValue={asksMore && f !== more ? typed[f.name] : undefined}
            autoFocus={asksMore && f === more}
            required
          />
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
