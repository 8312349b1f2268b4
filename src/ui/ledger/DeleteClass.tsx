'use client';
/** Deletes a class for good, once its name was written down; shows a receipt. */
import type { Receipt } from '@/studio/views/receipt';
import Link from 'next/link';
import { useState, useTransition } from 'react';
import type { Answer } from '../parts/answer';
import { Field } from '../parts/fields';
import { sayReceipt } from './receipt-words';

interface Props {
  readonly name: string;
  readonly copies: string;
  readonly remove: (name: string) => Promise<Answer<unknown, Receipt>>;
}

export function DeleteClass({ name, copies, remove }: Props) {
  const [typed, setTyped] = useState('');
  const [trouble, setTrouble] = useState('');
  const [receipt, setReceipt] = useState<Receipt | null>(null);
  const [busy, start] = useTransition();
  if (receipt)
    return (
      <div role="status" className="grid gap-3">
        <p>{sayReceipt(receipt, copies)}</p>
        <Link href="/ledger" className="calm">
          To the Ledger
        </Link>
      </div>
    );
  return (
    <details>
      <summary className="min-h-7 cursor-pointer">Delete the class</summary>
      <form
        className="mt-2 grid gap-2"
        onSubmit={(e) => {
          e.preventDefault();
          start(async () => {
            const answer = await remove(typed);
            if (answer.ok) setReceipt(answer.value);
            else setTrouble(answer.say);
          });
        }}
      >
        <p>
          Its students, their hand-ins, photographs, measurements and letters go for good. {copies} Pictures to paint
          from are yours, and stay. Take the class out first if anyone may want it.
        </p>
        <Field label={`To be sure, write “${name}”`}>
          <input className="field" value={typed} autoComplete="off" onChange={(e) => setTyped(e.target.value)} />
        </Field>
        {trouble && (
          <p role="alert" className="trouble">
            {trouble}
          </p>
        )}
        <button className="calm" disabled={busy || typed.trim() === ''}>
          {busy ? 'Deleting …' : 'Delete it for good'}
        </button>
      </form>
    </details>
  );
}
