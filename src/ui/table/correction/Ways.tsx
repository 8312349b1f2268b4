'use client';
/** Several ways of one correction: which is looked at, which goes with the letter, which was set aside and why. */
import type { CorrectionView } from '@/studio/views/corrections';
import { useState } from 'react';
import type { Correcting } from './use-correction';

interface Props {
  readonly ways: readonly CorrectionView[];
  readonly drawing: Correcting;
  readonly frozen: boolean;
  readonly sendWith: (id: string | null) => void;
  readonly setAside: (id: string, why: string) => void;
  readonly remove: (id: string) => void;
}

const standing = ({ withLetter, setAside }: CorrectionView): string => {
  if (withLetter) return 'goes with the letter';
  if (setAside === null) return 'stays here';
  return setAside === '' ? 'set aside' : `set aside: ${setAside}`;
};

export function Ways({ ways, drawing, frozen, sendWith, setAside, remove }: Props) {
  const [asking, setAsking] = useState(false);
  const [why, setWhy] = useState('');
  const now = ways.find((w) => w.id === drawing.way.id);
  return (
    <div className="grid gap-2">
      <h2 className="label">Ways</h2>
      <ul className="grid gap-1">
        {ways.map((w) => (
          <li key={w.id}>
            <button
              type="button"
              aria-pressed={w.id === drawing.way.id}
              className="choice w-full text-left text-13"
              onClick={() => drawing.turnTo(w)}
            >
              <span dir="auto">{w.name}</span> <span className="block">{standing(w)}</span>
              {w.isOfBefore && <span className="block">drawn on the picture from before it was measured anew</span>}
            </button>
          </li>
        ))}
      </ul>
      {!frozen && drawing.way.id !== null && (
        <label key={drawing.way.id}>
          <span className="label">What this way is called</span>
          <input
            className="field"
            maxLength={80}
            defaultValue={drawing.way.name}
            onBlur={(e) => {
              const name = e.target.value.trim();
              if (name !== '' && name !== drawing.way.name) drawing.call(name);
            }}
          />
        </label>
      )}
      {!frozen && (
        <div className="flex flex-wrap gap-2 text-13">
          <button type="button" className="calm min-h-8 px-2" onClick={() => drawing.turnTo(undefined)}>
            Another way
          </button>
          {now && (
            <button
              type="button"
              className="calm min-h-8 px-2"
              onClick={() => sendWith(now.withLetter ? null : now.id)}
            >
              {now.withLetter ? 'Keep it here' : 'Send with the letter'}
            </button>
          )}
          {now && now.setAside === null && (
            <button
              type="button"
              className="calm min-h-8 px-2"
              aria-expanded={asking}
              onClick={() => setAsking(!asking)}
            >
              Set aside
            </button>
          )}
          {now && (
            <button
              type="button"
              className="calm min-h-8 px-2"
              onClick={() => {
                remove(now.id);
                drawing.turnTo(ways.find((w) => w.id !== now.id));
              }}
            >
              Remove
            </button>
          )}
        </div>
      )}
      {asking && now && (
        <form
          className="grid gap-1"
          onSubmit={(e) => {
            e.preventDefault();
            setAside(now.id, why);
            setAsking(false);
            setWhy('');
          }}
        >
          <label>
            <span className="label">Why, in a word</span>
            <input className="field" maxLength={200} value={why} onChange={(e) => setWhy(e.target.value)} />
          </label>
          <button type="submit" className="act">
            Set it aside
          </button>
        </form>
      )}
      {now && (
        <p className="text-13">
          To take along:{' '}
          <a className="underline" href={`/corrected/${now.id}/png?v=${now.written}`}>
            one picture
          </a>
          {' or '}
          <a className="underline" href={`/corrected/${now.id}/layers?v=${now.written}`}>
            layers (OpenRaster)
          </a>
        </p>
      )}
    </div>
  );
}
