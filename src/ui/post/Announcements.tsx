'use client';
/** What a class is told: its students find it with their work, and those with an address can be written to. */
import { type FormEvent } from 'react';
import type { Answer } from '../parts/answer';
import { Trouble, useAsking } from '../parts/use-asking';

interface Props {
  readonly told: readonly {
    readonly id: string;
    readonly title: string;
    readonly text: string;
    readonly day: string;
  }[];
  /** Where the files of e-mail for one of them are. */
  readonly mails: string;
  readonly tell: (given: { readonly title: string; readonly text: string }) => Promise<Answer<unknown, string>>;
  readonly untell: (id: string) => Promise<Answer<unknown, void>>;
}

export function Announcements({ told, mails, tell, untell }: Props) {
  const { busy, trouble, ask } = useAsking();
  const send = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = event.currentTarget;
    const field = (name: string) => (form.elements.namedItem(name) as HTMLInputElement).value;
    ask(
      () => tell({ title: field('title'), text: field('text') }),
      () => form.reset(),
    );
  };
  return (
    <div className="grid gap-4">
      <form onSubmit={send} className="grid gap-3">
        <label>
          <span className="label">What it is about</span>
          <input className="field" name="title" required maxLength={80} autoComplete="off" />
        </label>
        <label>
          <span className="label">What you want to tell them</span>
          <textarea className="field font-letter" name="text" rows={4} required />
        </label>
        <button className="act justify-self-start" disabled={busy}>
          Tell the class
        </button>
        <Trouble say={trouble} />
      </form>
      <ul className="grid gap-3">
        {told.map(({ id, title, text, day }) => (
          <li key={id} className="rounded-sm bg-l97 p-3">
            <p className="flex flex-wrap justify-between gap-2">
              <span className="font-semibold">{title}</span>
              <span className="quiet">{day}</span>
            </p>
            <p dir="auto" className="max-w-prose whitespace-pre-line font-letter">
              {text}
            </p>
            <p className="mt-2 flex flex-wrap gap-2">
              <a className="calm" href={`${mails}?announcement=${id}`}>
                As e-mail
              </a>
              <button type="button" className="calm" disabled={busy} onClick={() => ask(() => untell(id))}>
                Take it back<span className="sr-only">: {title}</span>
              </button>
            </p>
          </li>
        ))}
      </ul>
    </div>
  );
}
