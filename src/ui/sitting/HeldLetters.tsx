'use client';
/** Letters that are decided and held: looked over once more, and sent one by one or all together. */
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import type { HeldLetter } from '@/studio/views/sitting';
import type { Answer } from '../parts/answer';
import { useKeys } from '../parts/use-keys';

interface Props {
  readonly letters: readonly HeldLetter[];
  /** Null of whoever drafts and does not send. */
  readonly send: ((attemptId: string) => Promise<Answer<unknown, void>>) | null;
}

const SAID = { pass: 'pass', again: 'once more' } as const;
const letters = (n: number) => `${n} ${n === 1 ? 'letter' : 'letters'}`;
const UNREACHED = 'The studio can’t be reached just now. What was not sent is still held; try once more.';

export function HeldLetters({ letters: held, send }: Props) {
  const router = useRouter();
  /** How many of how many are sent; null while none are being sent. */
  const [sending, setSending] = useState<{ readonly done: number; readonly of: number } | null>(null);
  const [kept, setKept] = useState<readonly { readonly student: string; readonly say: string }[]>([]);
  const [said, setSaid] = useState('');
  const stopped = useRef(false);

  async function sendThese(these: readonly HeldLetter[]) {
    if (!send || sending || these.length === 0) return;
    stopped.current = false;
    setKept([]);
    let done = 0;
    for (const letter of these) {
      if (stopped.current) break;
      setSending({ done, of: these.length });
      const answer = await send(letter.attemptId).catch(() => ({ ok: false as const, say: UNREACHED }));
      if (answer.ok) done++;
      else setKept((before) => [...before, { student: letter.student, say: answer.say }]);
    }
    setSending(null);
    setSaid(`${letters(done)} sent.`);
    router.refresh();
  }
  useKeys({ a: () => void sendThese(held) });

  if (held.length === 0 && said === '') return null;
  return (
    <section className="panel" aria-labelledby="held">
      <div className="mb-3 flex flex-wrap items-center gap-4">
        <h2 id="held" className="text-18 font-semibold">
          {held.length === 0 ? 'Nothing is held' : `${letters(held.length)} ${held.length === 1 ? 'is' : 'are'} held`}
        </h2>
        {!send && <span className="quiet">Whoever teaches the class sends them.</span>}
        <span role="status" className="quiet">
          {sending ? `Sending, ${sending.done} of ${sending.of} sent` : said}
        </span>
        {sending ? (
          <button type="button" className="calm ml-auto" onClick={() => (stopped.current = true)}>
            Stop
          </button>
        ) : (
          held.length > 0 &&
          send && (
            <button type="button" className="act ml-auto" onClick={() => void sendThese(held)}>
              {held.length === 1 ? 'Send it' : `Send all ${held.length}`} <kbd className="text-l10">a</kbd>
            </button>
          )
        )}
      </div>
      {kept.length > 0 && (
        <ul role="alert" className="trouble mb-3 grid gap-1">
          {kept.map(({ student, say }) => (
            <li key={student}>
              {student}: {say}
            </li>
          ))}
        </ul>
      )}
      <ul className="grid grid-cols-[repeat(auto-fill,minmax(15rem,1fr))] gap-2">
        {held.map((letter) => (
          <li key={letter.attemptId} className="flex items-center gap-2 rounded-sm bg-l97 px-3 py-2">
            <Link href={`/table/${letter.handInId}`} className="min-w-0 flex-1 hover:underline">
              <span className="block truncate font-semibold">{letter.student}</span>
              <span className="quiet block truncate">{letter.title}</span>
            </Link>
            <span className="shrink-0 text-13">
              {SAID[letter.verdict]}
              {letter.by && <span className="quiet block">{letter.by}</span>}
            </span>
            {send && (
              <button
                type="button"
                className="min-h-7 cursor-pointer px-1 text-13 underline"
                disabled={sending !== null}
                onClick={() => void sendThese([letter])}
              >
                Send<span className="sr-only"> the letter to {letter.student}</span>
              </button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
