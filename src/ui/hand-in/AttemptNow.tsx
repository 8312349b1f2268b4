'use client';
/** What is happening to the newest photograph: live while it is measured, then the gate's verdict. */
import type { StudentAttempt } from '@/studio/views/my-work';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { useNews } from '../parts/use-news';

interface Props {
  readonly attempt: StudentAttempt;
  /** Whether Fair Grey reads this kind, or the teacher's eye alone judges it. */
  readonly measured: boolean;
  readonly stop: (id: string) => Promise<unknown>;
  readonly again: (id: string) => Promise<unknown>;
  readonly anyway: (id: string, word: string) => Promise<{ ok: boolean; say?: string }>;
}

const UNDER_WAY = ['received', 'queued', 'measuring'];

export function AttemptNow({ attempt, measured, stop, again, anyway }: Props) {
  const router = useRouter();
  const [stage, setStage] = useState('waiting its turn');
  const [word, setWord] = useState('');
  const [trouble, setTrouble] = useState('');
  const [busy, start] = useTransition();
  const underWay = UNDER_WAY.includes(attempt.state);

  const wantsPicture = (attempt.state === 'measured' || attempt.state === 'refused') && !attempt.hasPreview;
  useNews(attempt.id, underWay || wantsPicture, (news) => {
    if (news.stage && news.state === 'measuring') setStage(news.stage);
    if (news.state !== 'measuring' && news.state !== 'queued') router.refresh();
  });

  const run = (work: () => Promise<unknown>) =>
    start(async () => {
      await work();
      router.refresh();
    });

  if (underWay)
    return (
      <div className="trouble" role="status">
        <p className="mb-2">
          Measuring your picture: {stage} <span aria-hidden>…</span>
        </p>
        <button type="button" className="calm" disabled={busy} onClick={() => run(() => stop(attempt.id))}>
          Stop
        </button>
      </div>
    );
  if (attempt.state === 'failed' || attempt.state === 'cancelled')
    return (
      <div className="trouble" role="status">
        <p className="mb-2">{attempt.trouble ?? 'Measuring was stopped. Your picture is kept.'}</p>
        <button type="button" className="calm" disabled={busy} onClick={() => run(() => again(attempt.id))}>
          Try again
        </button>
      </div>
    );
  if (attempt.state === 'refused')
    return (
      <div className="trouble" role="status">
        <p className="font-semibold">This picture will not do yet.</p>
        <ul className="mb-3">
          {attempt.issues.map((i, k) => (
            <li key={k}>{i.say}</li>
          ))}
        </ul>
        {attempt.plea ? (
          <p>It went to your teacher with your word: “{attempt.plea}”</p>
        ) : (
          <details>
            <summary className="min-h-10 cursor-pointer py-2">Look at it anyway</summary>
            <label>
              <span className="label">A word to your teacher</span>
              <textarea className="field" rows={2} value={word} onChange={(e) => setWord(e.target.value)} />
            </label>
            {trouble && <p role="alert">{trouble}</p>}
            <button
              type="button"
              className="calm mt-2"
              disabled={busy}
              onClick={() =>
                run(async () => {
                  const answer = await anyway(attempt.id, word);
                  setTrouble(answer.ok ? '' : (answer.say ?? ''));
                })
              }
            >
              Send it on
            </button>
          </details>
        )}
      </div>
    );
  // Once there is a letter it says all there is to say of this picture.
  if (attempt.letter) return null;
  return (
    <p className="trouble" role="status">
      <span className="font-semibold">{measured ? 'This picture will do.' : 'Your picture has come in.'}</span> It is
      with your teacher now; you will read the critique here.
      {attempt.issues.map((i) => ` ${i.say}`)}
    </p>
  );
}
