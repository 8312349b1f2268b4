'use client';
/** A student of another class comes into this one as well. */
import { useState } from 'react';
import type { Answer } from '../parts/answer';
import { Choice } from '../parts/fields';
import { Trouble, useAsking } from '../parts/use-asking';

interface Props {
  readonly others: readonly { readonly id: string; readonly name: string; readonly className: string }[];
  readonly enrol: (id: string) => Promise<Answer<unknown, void>>;
}

export function EnrolToo({ others, enrol }: Props) {
  const [chosen, setChosen] = useState('');
  const { busy, trouble, ask } = useAsking();
  if (others.length === 0) return null;
  const id = others.some((o) => o.id === chosen) ? chosen : (others[0]?.id ?? '');
  return (
    <fieldset disabled={busy} className="mt-3 grid gap-2">
      <div className="flex items-end gap-2">
        <div className="min-w-0 flex-1">
          <Choice
            label="Somebody of another class"
            value={id}
            options={others.map((o) => [o.id, `${o.name}, ${o.className}`] as const)}
            onChange={setChosen}
          />
        </div>
        <button type="button" className="calm" onClick={() => ask(() => enrol(id))}>
          Add
        </button>
      </div>
      <p className="quiet">They sign in as before and find the work of both classes together.</p>
      <Trouble say={trouble} />
    </fieldset>
  );
}
