'use client';
/** One name and, where it is offered, one choice; what comes back is shown once. */
import { useState, useTransition } from 'react';

interface Props {
  readonly label: string;
  readonly button: string;
  readonly choices?: readonly (readonly [string, string])[];
  readonly choiceLabel?: string;
  readonly send: (name: string, choice: string) => Promise<{ ok: true; value: string } | { ok: false; say: string }>;
}

export function LedgerForm({ label, button, choices, choiceLabel, send }: Props) {
  const [name, setName] = useState('');
  const [choice, setChoice] = useState(choices?.[0]?.[0] ?? '');
  const [answers, setAnswers] = useState<readonly string[]>([]);
  const [trouble, setTrouble] = useState('');
  const [busy, start] = useTransition();
  return (
    <form
      className="grid gap-3"
      onSubmit={(e) => {
        e.preventDefault();
        start(async () => {
          const answer = await send(name, choice);
          if (!answer.ok) return setTrouble(answer.say);
          setTrouble('');
          setName('');
          if (answer.value) setAnswers((a) => [...a, answer.value]);
        });
      }}
    >
      <label>
        <span className="label">{label}</span>
        <input className="field" value={name} onChange={(e) => setName(e.target.value)} required />
      </label>
      {choices && (
        <label>
          <span className="label">{choiceLabel}</span>
          <select className="field" value={choice} onChange={(e) => setChoice(e.target.value)}>
            {choices.map(([v, words]) => (
              <option key={v} value={v}>
                {words}
              </option>
            ))}
          </select>
        </label>
      )}
      {trouble && (
        <p role="alert" className="trouble">
          {trouble}
        </p>
      )}
      <button className="act" disabled={busy}>
        {button}
      </button>
      {answers.length > 0 && (
        <div className="trouble" role="status">
          <p className="mb-1 font-semibold">Write these down now; they are shown only once.</p>
          {answers.map((a) => (
            <p key={a} className="text-18">
              {a}
            </p>
          ))}
        </div>
      )}
    </form>
  );
}
