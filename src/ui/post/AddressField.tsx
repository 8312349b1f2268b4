'use client';
/** Where a student's letters go as e-mail: theirs, or whoever looks after them. Most have none. */
import { useState } from 'react';
import type { Answer } from '../parts/answer';
import { Trouble, useAsking } from '../parts/use-asking';

interface Props {
  readonly address: string;
  readonly keep: (address: string) => Promise<Answer<unknown, void>>;
}

export function AddressField({ address, keep }: Props) {
  const [kept, setKept] = useState('');
  const { busy, trouble, ask } = useAsking();
  return (
    <div className="grid gap-2">
      <label>
        <span className="label">E-mail address, if there is one</span>
        <input
          className="field"
          type="email"
          autoComplete="off"
          defaultValue={address}
          disabled={busy}
          onChange={() => setKept('')}
          onBlur={(e) => {
            const typed = e.target.value;
            if (typed === address) return;
            ask(
              () => keep(typed),
              () => setKept(typed === '' ? 'Taken away.' : 'Kept.'),
            );
          }}
        />
      </label>
      <p role="status" className="quiet">
        {kept === '' ? 'Nothing is sent by itself: letters wait in the class’s post until you take them out.' : kept}
      </p>
      <Trouble say={trouble} />
    </div>
  );
}
