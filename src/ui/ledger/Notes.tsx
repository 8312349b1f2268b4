'use client';
/** What those who teach a student remember of them: never shown to students. */
import { type FormEvent } from 'react';
import type { Answer } from '../parts/answer';
import { KeptText } from '../parts/KeptText';
import { Trouble, useAsking } from '../parts/use-asking';

interface Note {
  readonly id: string;
  readonly text: string;
  readonly by: string | null;
  readonly day: string;
  readonly written: number;
}

interface Props {
  readonly notes: readonly Note[];
  readonly add: (text: string) => Promise<Answer<unknown, void>>;
  readonly change: (id: string, text: string, seen: number) => Promise<Answer<string, number>>;
}

export function Notes({ notes, add, change }: Props) {
  const { busy, trouble, ask } = useAsking();
  const send = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = event.currentTarget;
    const { value } = form.elements.namedItem('text') as HTMLTextAreaElement;
    ask(
      () => add(value),
      () => form.reset(),
    );
  };
  return (
    <div className="grid gap-3">
      <form onSubmit={send} className="grid gap-2">
        <label>
          <span className="label">A new note</span>
          <textarea className="field font-letter" name="text" rows={2} required />
        </label>
        <button className="calm justify-self-start" disabled={busy}>
          Keep it
        </button>
        <Trouble say={trouble} />
      </form>
      {notes.map(({ id, text, by, day, written }) => (
        <KeptText
          key={id}
          label={`${day}${by ? `, ${by}` : ''}`}
          word={text}
          written={written}
          frozen={false}
          busy={busy}
          change={(next, seen) => change(id, next, seen)}
        />
      ))}
      {notes.length > 0 && <p className="quiet">A note that is emptied goes away. Students see none of them.</p>}
    </div>
  );
}
