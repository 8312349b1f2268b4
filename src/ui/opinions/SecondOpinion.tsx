'use client';
/** What other teachers of the studio think of a hand-in, and the way to ask one of them. */
import type { OpinionView } from '@/studio/views/opinions';
import { useState } from 'react';
import type { Answer } from '../parts/answer';
import { Choice, Tick } from '../parts/fields';
import { FormDialog } from '../parts/FormDialog';
import { VERDICT_SAID } from './verdict-said';

export interface Question {
  readonly of: string;
  readonly hidesName: boolean;
  readonly question: string;
}

interface Props {
  readonly opinions: readonly OpinionView[];
  readonly colleagues: readonly { readonly id: string; readonly name: string }[];
  readonly frozen: boolean;
  readonly ask: (question: Question) => Promise<Answer<unknown, unknown>>;
  readonly takeBack: (id: string) => void;
}

export function SecondOpinion({ opinions, colleagues, frozen, ask, takeBack }: Props) {
  const [open, setOpen] = useState(false);
  const mayAsk = colleagues.filter((c) => !opinions.some((o) => o.ofId === c.id));
  if (opinions.length === 0 && (frozen || mayAsk.length === 0)) return null;
  return (
    <section aria-label="Second opinions" className="grid gap-2 text-13">
      {opinions.map(({ id, of, word, verdict }) => (
        <div key={id} className="rounded-sm bg-l97 p-2">
          <p>
            <span className="font-semibold">{of}</span>{' '}
            {word === null ? 'was asked and has not answered yet.' : verdict ? VERDICT_SAID[verdict] : 'says:'}
          </p>
          {word !== null && (
            <p className="whitespace-pre-wrap font-letter" dir="auto">
              {word}
            </p>
          )}
          {word === null && !frozen && (
            <button type="button" className="min-h-6 cursor-pointer underline" onClick={() => takeBack(id)}>
              Take the question back
            </button>
          )}
        </div>
      ))}
      {!frozen && mayAsk.length > 0 && (
        <button
          type="button"
          className="min-h-6 cursor-pointer justify-self-start underline"
          onClick={() => setOpen(true)}
        >
          A second opinion
        </button>
      )}
      <FormDialog
        title="A second opinion"
        about="They see the picture and the draft, and say what they think. Both words are kept; you decide."
        open={open}
        onOpenChange={setOpen}
      >
        <AskForm colleagues={mayAsk} ask={ask} close={() => setOpen(false)} />
      </FormDialog>
    </section>
  );
}

function AskForm({ colleagues, ask, close }: Pick<Props, 'colleagues' | 'ask'> & { readonly close: () => void }) {
  const [of, setOf] = useState(colleagues[0]?.id ?? '');
  const [hidesName, setHidesName] = useState(true);
  const [question, setQuestion] = useState('');
  const [trouble, setTrouble] = useState('');
  const send = async () => {
    const answer = await ask({ of, hidesName, question });
    if (answer.ok) close();
    else setTrouble(answer.say);
  };
  return (
    <form
      className="grid gap-2"
      onSubmit={(e) => {
        e.preventDefault();
        void send();
      }}
    >
      <Choice label="Whom" value={of} options={colleagues.map((c) => [c.id, c.name] as const)} onChange={setOf} />
      <Tick label="Don’t say whose it is" checked={hidesName} onChange={setHidesName} />
      <label>
        <span className="label">What you want to know</span>
        <textarea className="field" rows={3} value={question} onChange={(e) => setQuestion(e.target.value)} />
      </label>
      {trouble && (
        <p role="alert" className="trouble">
          {trouble}
        </p>
      )}
      <div className="flex gap-2">
        <button type="submit" className="act">
          Lay it before them
        </button>
        <button type="button" className="calm ml-auto" onClick={close}>
          Leave
        </button>
      </div>
    </form>
  );
}
