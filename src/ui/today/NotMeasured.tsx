'use client';
/** Pictures that could not be measured, however often it was tried: what came in the way, and trying again. */
import Link from 'next/link';
import { useState, useTransition } from 'react';
import type { Answer } from '../parts/answer';

interface Props {
  readonly pictures: readonly {
    readonly attemptId: string;
    readonly handInId: string;
    readonly student: string;
    readonly title: string;
    readonly trouble: string;
  }[];
  readonly again: (attemptId: string) => Promise<Answer<unknown, void>>;
}

export function NotMeasured({ pictures, again }: Props) {
  const [trouble, setTrouble] = useState('');
  const [busy, start] = useTransition();
  const tryThese = (ids: readonly string[]) =>
    start(async () => {
      setTrouble('');
      for (const id of ids) {
        const answer = await again(id);
        if (!answer.ok) setTrouble(answer.say);
      }
    });
  return (
    <section className="panel" aria-labelledby="not-measured">
      <div className="mb-2 flex items-center gap-4">
        <h2 id="not-measured" className="text-18 font-semibold">
          {pictures.length === 1
            ? 'One picture could not be measured'
            : `${pictures.length} pictures could not be measured`}
        </h2>
        {pictures.length > 1 && (
          <button
            type="button"
            className="calm ml-auto"
            disabled={busy}
            onClick={() => tryThese(pictures.map((p) => p.attemptId))}
          >
            Try all again
          </button>
        )}
      </div>
      {trouble && (
        <p role="alert" className="trouble">
          {trouble}
        </p>
      )}
      <ul className="grid gap-2">
        {pictures.map((p) => (
          <li key={p.attemptId} className="flex items-center gap-3 rounded-sm bg-l97 p-3">
            <div className="min-w-0">
              <Link href={`/table/${p.handInId}?attempt=${p.attemptId}`} className="font-semibold underline">
                {p.student}
              </Link>
              <span className="quiet ml-2">{p.title}</span>
              <p>{p.trouble}</p>
            </div>
            <button
              type="button"
              className="calm ml-auto shrink-0"
              disabled={busy}
              onClick={() => tryThese([p.attemptId])}
            >
              Try again
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
