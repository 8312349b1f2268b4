'use client';
/** What a student says to a letter: an answer to one of its remarks, or one question. */
import type { LetterItem, StudentAttempt } from '@/studio/views/my-work';
import { useState, useTransition } from 'react';
import type { Answer } from '../parts/answer';
import { Choice } from '../parts/fields';

interface Props {
  readonly items: readonly LetterItem[];
  readonly reply: NonNullable<StudentAttempt['letter']>['reply'];
  readonly send: (about: string | null, text: string) => Promise<Answer<unknown, unknown>>;
}

const QUESTION = 'question';
/** A remark in a list, short enough to be chosen from. */
const MOST = 60;
const inShort = (say: string) => (say.length > MOST ? `${say.slice(0, MOST)} …` : say);

export function Reply({ items, reply, send }: Props) {
  const [open, setOpen] = useState(false);
  const [about, setAbout] = useState(reply?.about ?? QUESTION);
  const [text, setText] = useState(reply?.text ?? '');
  const [trouble, setTrouble] = useState('');
  const [busy, start] = useTransition();
  const answered = reply !== null && reply.answer !== null;
  if (reply && !open)
    return (
      <div className="grid gap-1 font-sans text-16">
        <p>
          <span className="label">You wrote</span>
          <span className="whitespace-pre-wrap" dir="auto">
            {reply.text}
          </span>
        </p>
        {answered ? (
          <p>
            <span className="label">Your teacher</span>
            <span className="whitespace-pre-wrap" dir="auto">
              {reply.answer || 'Read it.'}
            </span>
          </p>
        ) : (
          <button type="button" className="calm justify-self-start" onClick={() => setOpen(true)}>
            Write it anew
          </button>
        )}
      </div>
    );
  if (!open)
    return (
      <button type="button" className="calm font-sans text-16" onClick={() => setOpen(true)}>
        Answer, or ask one question
      </button>
    );
  return (
    <form
      className="grid gap-2 font-sans text-16"
      onSubmit={(e) => {
        e.preventDefault();
        start(async () => {
          const answer = await send(about === QUESTION ? null : about, text);
          setTrouble(answer.ok ? '' : answer.say);
          if (answer.ok) setOpen(false);
        });
      }}
    >
      <Choice
        label="It is"
        value={about}
        options={[
          [QUESTION, 'a question'] as const,
          ...items.map(({ key, say }) => [key, `about “${inShort(say)}”`] as const),
        ]}
        onChange={setAbout}
      />
      <label>
        <span className="label">What you want to say</span>
        <textarea
          className="field"
          rows={4}
          required
          autoFocus
          dir="auto"
          value={text}
          onChange={(e) => setText(e.target.value)}
        />
      </label>
      {trouble && (
        <p role="alert" className="trouble">
          {trouble}
        </p>
      )}
      <div className="flex gap-2">
        <button className="act" disabled={busy}>
          Send it
        </button>
        <button type="button" className="calm" onClick={() => setOpen(false)}>
          Leave
        </button>
      </div>
    </form>
  );
}
