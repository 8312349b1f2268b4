'use client';
import { type FormEvent, useState } from 'react';
import type { Answer } from '../parts/answer';
import { Trouble, useAsking } from '../parts/use-asking';

interface Props {
  readonly change: (old: string, next: string) => Promise<Answer<unknown, void>>;
}

/** Another password in place of the one that is known. */
export function PasswordForm({ change }: Props) {
  const [isDone, setIsDone] = useState(false);
  const { busy, trouble, ask } = useAsking();
  const send = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = event.currentTarget;
    const [old, next] = ['old', 'next'].map((name) => (form.elements.namedItem(name) as HTMLInputElement).value);
    setIsDone(false);
    ask(
      () => change(old ?? '', next ?? ''),
      () => {
        form.reset();
        setIsDone(true);
      },
    );
  };
  return (
    <form onSubmit={send} className="grid gap-3">
      <label>
        <span className="label">Your password now</span>
        <input className="field" name="old" type="password" autoComplete="current-password" required />
      </label>
      <label>
        <span className="label">The new one</span>
        <input className="field" name="next" type="password" autoComplete="new-password" minLength={8} required />
        <span className="quiet">At least 8 characters. Everywhere else you are signed out.</span>
      </label>
      <button className="calm justify-self-start" disabled={busy}>
        Change the password
      </button>
      {isDone && <p role="status">Your password is changed.</p>}
      <Trouble say={trouble} />
    </form>
  );
}
