'use client';
/** A student in the Ledger: a new code, everything out, everything gone. */
import Link from 'next/link';
import { AlertDialog } from 'radix-ui';
import type { Receipt } from '@/studio/views/receipt';
import { useState, useTransition } from 'react';
import type { Answer as Deleted } from '../parts/answer';
import { sayReceipt } from './receipt-words';

type Answer = { ok: true; value: string } | { ok: false; say: string };

interface Props {
  readonly id: string;
  /** Where all that is known of them stands. */
  readonly page: string;
  readonly number: number;
  readonly name: string;
  readonly newCode: (id: string) => Promise<Answer>;
  readonly remove: (id: string) => Promise<Deleted<unknown, Receipt>>;
  /** How long copies keep what is deleted. */
  readonly copies: string;
}

export function StudentRow({ id, page, number, name, newCode, remove, copies }: Props) {
  const [code, setCode] = useState('');
  const [gone, setGone] = useState<string | null>(null);
  const [busy, start] = useTransition();
  const removeNow = () =>
    start(async () => {
      const answer = await remove(id);
      setGone(answer.ok ? sayReceipt(answer.value, copies) : null);
      if (!answer.ok) setCode(answer.say);
    });
  if (gone)
    return (
      <tr className="border-t border-l80">
        <td colSpan={3} className="py-1.5" role="status">
          {gone}
        </td>
      </tr>
    );
  return (
    <tr className="border-t border-l80">
      <td className="py-1.5">{number}</td>
      <th scope="row" className="py-1.5 text-left font-normal">
        <Link href={page} prefetch={false} className="underline">
          {name}
        </Link>
        {code && (
          <span role="status" className="ml-3 font-semibold">
            {code}
          </span>
        )}
      </th>
      <td className="flex flex-wrap justify-end gap-2 py-1.5">
        <button
          type="button"
          className="calm"
          disabled={busy}
          onClick={() =>
            start(async () => {
              const answer = await newCode(id);
              setCode(answer.ok ? `${answer.value} (write it down: shown once)` : answer.say);
            })
          }
        >
          New code
        </button>
        <a className="calm" href={`/record/${id}`}>
          Take out
        </a>
        <AlertDialog.Root>
          <AlertDialog.Trigger className="calm">Delete</AlertDialog.Trigger>
          <AlertDialog.Portal>
            <AlertDialog.Overlay className="fixed inset-0 bg-l20/60" />
            <AlertDialog.Content className="panel fixed left-1/2 top-1/2 w-96 -translate-x-1/2 -translate-y-1/2">
              <AlertDialog.Title className="mb-2 text-18 font-semibold">Delete {name}?</AlertDialog.Title>
              <AlertDialog.Description className="mb-4">
                All their hand-ins, photographs, measurements and critiques go for good. {copies} Take them out first if
                anyone may want them.
              </AlertDialog.Description>
              <div className="flex justify-end gap-2">
                <AlertDialog.Cancel className="calm">Keep</AlertDialog.Cancel>
                <AlertDialog.Action className="act" onClick={removeNow}>
                  Delete for good
                </AlertDialog.Action>
              </div>
            </AlertDialog.Content>
          </AlertDialog.Portal>
        </AlertDialog.Root>
      </td>
    </tr>
  );
}
