'use client';
/** A calendar that other programs read by a secret address, shown once; a new one ends the old. */
import { useState } from 'react';
import type { Answer } from '../parts/answer';
import { Trouble, useAsking } from '../parts/use-asking';

interface Props {
  /** What is in it, in a sentence. */
  readonly about: string;
  readonly isOpen: boolean;
  readonly open: () => Promise<Answer<unknown, string>>;
  readonly close: () => Promise<Answer<unknown, void>>;
}

export function CalendarAddress({ about, isOpen, open, close }: Props) {
  const [address, setAddress] = useState('');
  const { busy, trouble, ask } = useAsking();
  return (
    <fieldset disabled={busy} className="grid gap-2">
      <p>{about}</p>
      {address !== '' && (
        <p role="status">
          Give this address to a calendar program:{' '}
          <strong className="break-all font-normal underline">{`${window.location.origin}${address}`}</strong> It is not
          shown again; whoever has it sees the dates.
        </p>
      )}
      <div className="flex flex-wrap gap-2">
        <button type="button" className="calm" onClick={() => ask(open, setAddress)}>
          {isOpen ? 'Another address in its place' : 'Make its address'}
        </button>
        {isOpen && (
          <button type="button" className="calm" onClick={() => ask(close, () => setAddress(''))}>
            Withdraw it
          </button>
        )}
      </div>
      <Trouble say={trouble} />
    </fieldset>
  );
}
