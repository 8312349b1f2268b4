'use client';
/** Ways to mend an old painting, to choose from before anything is painted. */
import type { RescueOffer } from '@/studio/views/rescue-offers';
import { useState } from 'react';
import type { Answer } from '../../parts/answer';

interface Props {
  readonly busy: boolean;
  readonly propose: () => Promise<Answer<unknown, readonly RescueOffer[]>>;
  /** Keeps one as a correction of the painting. */
  readonly take: (offer: RescueOffer, name: string) => Promise<Answer<unknown, unknown>>;
}

const NUMBERS = ['The least to paint over', 'Another way', 'A third way'];

export function RescueWays({ busy, propose, take }: Props) {
  const [offers, setOffers] = useState<readonly RescueOffer[] | null>(null);
  const [taken, setTaken] = useState<readonly string[]>([]);
  if (!offers)
    return (
      <button
        type="button"
        className="act justify-self-center px-4"
        disabled={busy}
        onClick={() => void propose().then((answer) => answer.ok && setOffers(answer.value))}
      >
        Try ways to mend it
      </button>
    );
  if (offers.length === 0) return <p className="panel">It has the range and the pattern that are wanted: leave it.</p>;
  return (
    <ol className="grid gap-2 sm:grid-cols-3" aria-label="Ways to mend it">
      {offers.map((offer, k) => {
        const name = NUMBERS[k] ?? `Way ${k + 1}`;
        return (
          <li key={name} className="panel grid content-start gap-1 p-2 text-13">
            <h2 className="label">{name}</h2>
            <img src={offer.preview} alt={`What it would look like: ${name.toLowerCase()}`} className="block w-full" />
            <p>
              {offer.repainted}, {offer.time} without drying.
              {!offer.reaches && ' It comes nearest, and does not get all the way.'}
            </p>
            <ul className="grid gap-1">
              {offer.parts.map(({ say, paint }) => (
                <li key={say}>
                  {say}. <span className="quiet">{paint}</span>
                </li>
              ))}
            </ul>
            {taken.includes(name) ? (
              <p role="status">
                Kept as a correction: <kbd>l</kbd> opens it.
              </p>
            ) : (
              <button
                type="button"
                className="calm min-h-8"
                disabled={busy}
                onClick={() => void take(offer, name).then(({ ok }) => ok && setTaken([...taken, name]))}
              >
                Take this one
              </button>
            )}
          </li>
        );
      })}
    </ol>
  );
}
