'use client';
/** What the student wrote to the letter, and what the teacher says to that. */
import type { Reply } from '@/studio/views/attempt';
import { useState } from 'react';

interface Props {
  readonly reply: Reply;
  /** What it is about, in the letter's words; null of a question. */
  readonly about: string | null;
  readonly busy: boolean;
  readonly answer: (text: string) => void;
}

export function StudentsReply({ reply, about, busy, answer }: Props) {
  const [text, setText] = useState(reply.answer ?? '');
  return (
    <section className="rounded-sm bg-l97 p-2" aria-label="Written by the student">
      <h2 className="label">{about === null ? 'Asked' : `Answered to “${about}”`}</h2>
      <p className="whitespace-pre-wrap font-letter" dir="auto">
        {reply.text}
      </p>
      {reply.answer !== null && (
        <p className="quiet whitespace-pre-wrap" dir="auto">
          You: {reply.answer || 'Read it.'}
        </p>
      )}
      {reply.answer === null && (
        <form
          className="mt-2 grid gap-2"
          onSubmit={(e) => {
            e.preventDefault();
            answer(text);
          }}
        >
          <label>
            <span className="label">Your answer</span>
            <textarea
              className="field font-letter"
              rows={2}
              dir="auto"
              value={text}
              onChange={(e) => setText(e.target.value)}
            />
          </label>
          <button className="calm justify-self-start" disabled={busy}>
            {text.trim() === '' ? 'Read it: no answer is needed' : 'Answer'}
          </button>
        </form>
      )}
    </section>
  );
}
