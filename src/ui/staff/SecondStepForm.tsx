'use client';
/** A second step of signing in: a code that an authenticator shows, besides the password. */
import { type FormEvent, useState } from 'react';
import type { Answer } from '../parts/answer';
import { Trouble, useAsking } from '../parts/use-asking';

interface Begun {
  readonly uri: string;
  readonly picture: string;
  readonly spare: readonly string[];
}

interface Props {
  readonly isOn: boolean;
  readonly begin: (password: string) => Promise<Answer<unknown, Begun>>;
  readonly confirm: (code: string) => Promise<Answer<unknown, void>>;
  readonly end: (password: string) => Promise<Answer<unknown, void>>;
}

interface OneFieldProps {
  readonly label: string;
  readonly button: string;
  readonly type: 'password' | 'text';
  readonly autoComplete: string;
  readonly busy: boolean;
  readonly send: (typed: string) => void;
}

function OneField({ label, button, type, autoComplete, busy, send }: OneFieldProps) {
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    send((event.currentTarget.elements.namedItem('typed') as HTMLInputElement).value);
  };
  return (
    <form onSubmit={submit} className="grid gap-3">
      <label>
        <span className="label">{label}</span>
        <input className="field" name="typed" type={type} autoComplete={autoComplete} required />
      </label>
      <button className="calm justify-self-start" disabled={busy}>
        {button}
      </button>
    </form>
  );
}

/** The key within what an authenticator is told, for whoever types it in. */
const keyIn = (uri: string): string => new URL(uri).searchParams.get('secret') ?? '';

export function SecondStepForm({ isOn, begin, confirm, end }: Props) {
  const [begun, setBegun] = useState<Begun | null>(null);
  const { busy, trouble, ask } = useAsking();
  const password = { type: 'password', autoComplete: 'current-password', busy, label: 'Your password' } as const;
  if (isOn)
    return (
      <div className="grid gap-3">
        <p>When you sign in you are asked for a code of your authenticator besides the password.</p>
        <OneField {...password} button="End it" send={(typed) => ask(() => end(typed))} />
        <Trouble say={trouble} />
      </div>
    );
  if (!begun)
    return (
      <div className="grid gap-3">
        <p>
          Whoever learns your password still can’t come in: an authenticator on your phone shows another code every half
          minute.
        </p>
        <OneField {...password} button="Begin" send={(typed) => ask(() => begin(typed), setBegun)} />
        <Trouble say={trouble} />
      </div>
    );
  return (
    <div className="grid gap-3">
      <p>Let your authenticator read this, or type the key into it:</p>
      {/* A drawing of squares, made by the studio itself. */}
      <img src={begun.picture} alt="The key as a picture for an authenticator" className="h-44 w-44 bg-l100 p-1" />
      <p className="break-all text-13 tabular-nums">{keyIn(begun.uri)}</p>
      <p>
        Write these spare codes down on paper. Each lets you in once if the phone is lost; they are not shown again:
      </p>
      <p className="columns-2 text-13 tabular-nums">
        {begun.spare.map((code) => (
          <span key={code} className="block">
            {code}
          </span>
        ))}
      </p>
      <OneField
        {...{
          label: 'The code that it shows now',
          button: 'That is it',
          type: 'text',
          autoComplete: 'one-time-code',
          busy,
        }}
        send={(typed) =>
          ask(
            () => confirm(typed),
            () => setBegun(null),
          )
        }
      />
      <Trouble say={trouble} />
    </div>
  );
}
