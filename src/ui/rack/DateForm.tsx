'use client';
/** More time for one student, or leaving the exercise out. */
import type { Allowance } from '@/core/planning/deadline';
import { useState, useTransition } from 'react';
import type { Answer } from '../parts/answer';
import { Choice, Field } from '../parts/fields';
import { FormDialog } from '../parts/FormDialog';

export type AllowanceWish =
  | { readonly what: 'nothing' }
  | { readonly what: 'excused'; readonly word: string }
  | { readonly what: 'until'; readonly day: string; readonly word: string };

interface Props {
  readonly student: string;
  readonly exercise: string;
  readonly now: Allowance | null;
  /** The day until which there is time already, ISO; empty for none. */
  readonly day: string;
  readonly save: (wish: AllowanceWish) => Promise<Answer<unknown, void>>;
  readonly close: () => void;
}

const WHATS = [
  ['nothing', 'as everybody'],
  ['until', 'more time'],
  ['excused', 'excused: need not hand it in'],
] as const;

export function DateForm({ student, exercise, now, day: dayNow, save, close }: Props) {
  const [what, setWhat] = useState<AllowanceWish['what']>(now ? (now.excused ? 'excused' : 'until') : 'nothing');
  const [day, setDay] = useState(dayNow);
  const [word, setWord] = useState(now?.word ?? '');
  const [trouble, setTrouble] = useState('');
  const [busy, start] = useTransition();
  const wish = (): AllowanceWish =>
    what === 'nothing' ? { what } : what === 'excused' ? { what, word } : { what, day, word };
  return (
    <FormDialog
      title={`${student}: ${exercise}`}
      about="What is set here counts for this student alone. They see the day, and that they are excused; not why."
      open
      onOpenChange={(open) => {
        if (!open) close();
      }}
    >
      <form
        className="grid gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          start(async () => {
            const answer = await save(wish());
            if (answer.ok) close();
            else setTrouble(answer.say);
          });
        }}
      >
        <Choice label="Date" value={what} options={WHATS} onChange={setWhat} />
        {what === 'until' && (
          <Field label="Until the evening of">
            <input className="field" type="date" required value={day} onChange={(e) => setDay(e.target.value)} />
          </Field>
        )}
        {what !== 'nothing' && (
          <Field label="Why, for you to remember">
            <input
              className="field"
              value={word}
              placeholder="was away"
              onChange={(e) => setWord(e.target.value)}
              maxLength={200}
            />
          </Field>
        )}
        {trouble && (
          <p role="alert" className="trouble">
            {trouble}
          </p>
        )}
        <div className="flex gap-2">
          <button className="act" disabled={busy}>
            Keep it
          </button>
          <button type="button" className="calm" onClick={close}>
            Leave it
          </button>
        </div>
      </form>
    </FormDialog>
  );
}
