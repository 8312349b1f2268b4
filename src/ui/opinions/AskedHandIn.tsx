'use client';
/** A hand-in that another teacher laid before you: its picture, its draft, and room for what you think. */
import type { Mark } from '@/core/critique/marks';
import type { FindingKind } from '@/core/critique/finding';
import type { Verdict } from '@/core/critique/verdict';
import { useState, useTransition } from 'react';
import { MarkedPicture } from '../hand-in/MarkedPicture';
import type { Answer } from '../parts/answer';
import { Choice } from '../parts/fields';

interface Props {
  readonly asked: {
    readonly id: string;
    readonly asker: string;
    readonly question: string;
    readonly student: string | null;
    readonly title: string;
    readonly word: string | null;
    readonly verdict: Verdict | null;
    readonly isSent: boolean;
    readonly marks: readonly Mark[];
    readonly items: readonly {
      readonly key: string;
      readonly kind: FindingKind;
      readonly say: string;
      readonly action: string | null;
    }[];
  };
  readonly say: (id: string, said: { word: string; verdict: Verdict | null }) => Promise<Answer<unknown, unknown>>;
}

const NOTHING = '';
const TITLES: Record<FindingKind, string> = { works: 'What works', fix: 'To mend' };

export function AskedHandIn({ asked, say }: Props) {
  const { id, asker, question, student, title, isSent, marks, items } = asked;
  const [word, setWord] = useState(asked.word ?? '');
  const [verdict, setVerdict] = useState<Verdict | typeof NOTHING>(asked.verdict ?? NOTHING);
  const [told, setTold] = useState<{ readonly ok: boolean; readonly say: string } | null>(null);
  const [busy, start] = useTransition();
  const send = () =>
    start(async () => {
      const answer = await say(id, { word, verdict: verdict === NOTHING ? null : verdict });
      setTold(answer.ok ? { ok: true, say: `${asker} has it now.` } : answer);
    });
  return (
    <div className="grid gap-4 p-4 lg:grid-cols-[minmax(0,1fr)_22rem]">
      <section aria-label="Picture" className="max-w-3xl">
        <MarkedPicture
          src={`/asked/${id}/picture`}
          alt="The painting, as it was handed in"
          marks={marks.map((mark, k) => ({ mark, number: k + 1 }))}
        />
      </section>
      <section className="panel self-start" aria-labelledby="asked">
        <h1 id="asked" className="text-24 font-semibold">
          {title}
        </h1>
        <p className="quiet mb-3">{student ?? 'Whose it is, is not said'}</p>
        <p className="mb-3">
          {asker} asks what you think{question === '' ? '.' : ':'}{' '}
          <span className="whitespace-pre-wrap font-letter" dir="auto">
            {question}
          </span>
        </p>
        {(['works', 'fix'] as const).map((kind) => {
          const own = items.filter((i) => i.kind === kind);
          return (
            own.length > 0 && (
              <div key={kind} className="mb-3">
                <h2 className="label">{TITLES[kind]}</h2>
                <ul className="grid gap-1">
                  {own.map((item) => (
                    <li key={item.key} dir="auto">
                      {item.say} {item.action}
                    </li>
                  ))}
                </ul>
              </div>
            )
          );
        })}
        {isSent ? (
          <p className="whitespace-pre-wrap">It was given back. You said: {asked.word ?? 'nothing'}</p>
        ) : (
          <form
            className="grid gap-2"
            onSubmit={(e) => {
              e.preventDefault();
              send();
            }}
          >
            <label>
              <span className="label">What you think</span>
              <textarea className="field" rows={5} required value={word} onChange={(e) => setWord(e.target.value)} />
            </label>
            <Choice
              label="What you would decide"
              value={verdict}
              options={[
                [NOTHING, 'I leave that open'],
                ['pass', 'Let it pass'],
                ['again', 'Send it back'],
              ]}
              onChange={setVerdict}
            />
            {told && (
              <p role={told.ok ? 'status' : 'alert'} className={told.ok ? '' : 'trouble'}>
                {told.say}
              </p>
            )}
            <button type="submit" className="act" disabled={busy}>
              {asked.word === null ? 'Say it' : 'Say it anew'}
            </button>
          </form>
        )}
      </section>
    </div>
  );
}
