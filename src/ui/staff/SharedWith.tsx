'use client';
/** Who teaches a class besides whoever made it. */
import { useState } from 'react';
import type { Answer } from '../parts/answer';
import { Choice } from '../parts/fields';
import { Trouble, useAsking } from '../parts/use-asking';
import { type Colleague, STANDING_WORDS } from './standing-words';

interface Props {
  readonly sharing: {
    readonly isOwn: boolean;
    readonly owner: string;
    readonly with: readonly Colleague[];
    readonly others: readonly Colleague[];
  };
  readonly share: (id: string) => Promise<Answer<unknown, void>>;
  readonly unshare: (id: string) => Promise<Answer<unknown, void>>;
}

export function SharedWith({ sharing, share, unshare }: Props) {
  const { isOwn, owner, others } = sharing;
  const [chosen, setChosen] = useState('');
  const { busy, trouble, ask } = useAsking();
  const id = others.some((o) => o.id === chosen) ? chosen : (others[0]?.id ?? '');
  return (
    <fieldset disabled={busy} className="grid gap-2">
      <ul className="grid gap-1">
        <li>{isOwn ? 'You made this class.' : `${owner} made this class.`}</li>
        {sharing.with.map(({ id: who, name, standing }) => (
          <li key={who} className="flex items-center justify-between gap-2">
            <span>
              {name}: {STANDING_WORDS[standing]}
            </span>
            {isOwn && (
              <button type="button" className="calm" onClick={() => ask(() => unshare(who))}>
                Not any more
              </button>
            )}
          </li>
        ))}
      </ul>
      {isOwn && others.length > 0 && (
        <div className="flex items-end gap-2">
          <div className="min-w-0 flex-1">
            <Choice
              label="Share it with"
              value={id}
              options={others.map((o) => [o.id, o.name] as const)}
              onChange={setChosen}
            />
          </div>
          <button type="button" className="calm" onClick={() => ask(() => share(id))}>
            Share
          </button>
        </div>
      )}
      {isOwn && others.length === 0 && sharing.with.length === 0 && (
        <p className="quiet">Nobody else teaches in this studio yet.</p>
      )}
      <Trouble say={trouble} />
    </fieldset>
  );
}
