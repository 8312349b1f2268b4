'use client';
/** Who teaches here, and a code for one more. */
import { useState } from 'react';
import type { Answer } from '../parts/answer';

interface Props {
  readonly own: string;
  readonly colleagues: readonly { readonly id: string; readonly name: string }[];
  readonly days: number;
  readonly invite: () => Promise<Answer<unknown, string>>;
}

export function Colleagues({ own, colleagues, days, invite }: Props) {
  const [code, setCode] = useState<string | null>(null);
  const [trouble, setTrouble] = useState('');
  const ask = () =>
    void invite().then((answer) => {
      if (answer.ok) setCode(answer.value);
      else setTrouble(answer.say);
    });
  return (
    <section className="panel self-start" aria-labelledby="colleagues">
      <h2 id="colleagues" className="mb-3 text-18 font-semibold">
        Who teaches here
      </h2>
      <ul className="mb-3 grid gap-1">
        <li>{own} (you)</li>
        {colleagues.map(({ id, name }) => (
          <li key={id}>{name}</li>
        ))}
      </ul>
      {code ? (
        <p role="status">
          Give them this code: <strong className="tracking-widest">{code}</strong>. They open the page to sign in and
          choose “I have an invitation”. It serves once, within {days} days, and is not shown again.
        </p>
      ) : (
        <button type="button" className="calm" onClick={ask}>
          Invite a teacher
        </button>
      )}
      {trouble && (
        <p role="alert" className="trouble mt-2">
          {trouble}
        </p>
      )}
    </section>
  );
}
