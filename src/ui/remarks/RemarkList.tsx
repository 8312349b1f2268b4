'use client';
/** A teacher's own remarks: searched, written, removed. */
import type { FindingKind } from '@/core/critique/finding';
import type { Remark } from '@/core/formats/remarks-csv';
import { useState, useTransition } from 'react';
import type { Answer } from '../parts/answer';
import { KindChoice, kindName } from './KindChoice';

type Kept = Remark & { readonly id: string };
interface Props {
  readonly remarks: readonly Kept[];
  readonly keep: (remark: Remark) => Promise<Answer<unknown, unknown>>;
  readonly remove: (id: string) => Promise<Answer<unknown, unknown>>;
}

const EMPTY: Remark = { key: '', kind: 'fix', say: '', action: '' };
const holds = ({ key, say, action }: Remark, typed: string) =>
  [key, say, action].some((words) => words.toLowerCase().includes(typed.trim().toLowerCase()));

export function RemarkList({ remarks, keep, remove }: Props) {
  const [typed, setTyped] = useState('');
  const [own, setOwn] = useState<Remark>(EMPTY);
  const [trouble, setTrouble] = useState('');
  const [busy, start] = useTransition();
  const put = (change: Partial<Remark>) => setOwn({ ...own, ...change });
  const run = (work: () => Promise<Answer<unknown, unknown>>, done: () => void = () => undefined) =>
    start(async () => {
      const answer = await work();
      setTrouble(answer.ok ? '' : answer.say);
      if (answer.ok) done();
    });
  const found = remarks.filter((r) => holds(r, typed));
  return (
    <div className="grid gap-4 lg:grid-cols-[1fr_22rem]">
      <div>
        <label>
          <span className="label">Find</span>
          <input className="field" type="search" value={typed} onChange={(e) => setTyped(e.target.value)} />
        </label>
        {found.length === 0 && (
          <p className="mt-3">
            {remarks.length === 0 ? 'No remark is kept yet. Write the first one beside.' : 'No remark has these words.'}
          </p>
        )}
        <ul className="mt-3 grid gap-2" aria-label="Remarks">
          {found.map((r) => (
            <li key={r.id} className="rounded-sm bg-l97 p-3">
              <div className="flex items-baseline gap-3">
                <span className="font-semibold">{r.key}</span>
                <span className="quiet">{kindName(r.kind)}</span>
                <button type="button" className="ml-auto cursor-pointer text-13 underline" onClick={() => setOwn(r)}>
                  Change
                </button>
                <button
                  type="button"
                  className="cursor-pointer text-13 underline"
                  aria-label={`Remove ${r.key}`}
                  disabled={busy}
                  onClick={() => run(() => remove(r.id))}
                >
                  Remove
                </button>
              </div>
              <p className="whitespace-pre-wrap font-letter" dir="auto">
                {r.say}
              </p>
              {r.action && (
                <p className="whitespace-pre-wrap font-letter" dir="auto">
                  {r.action}
                </p>
              )}
            </li>
          ))}
        </ul>
      </div>
      <form
        className="grid gap-2 self-start"
        onSubmit={(e) => {
          e.preventDefault();
          run(
            () => keep({ key: own.key, kind: own.kind, say: own.say, action: own.kind === 'works' ? '' : own.action }),
            () => setOwn(EMPTY),
          );
        }}
      >
        <h2 className="text-18 font-semibold">Write one</h2>
        <label>
          <span className="label">Its key, to find it by</span>
          <input className="field" required value={own.key} onChange={(e) => put({ key: e.target.value })} />
        </label>
        <KindChoice kind={own.kind} onChange={(kind: FindingKind) => put({ kind })} />
        <label>
          <span className="label">What is seen</span>
          <textarea
            className="field font-letter"
            rows={4}
            required
            value={own.say}
            onChange={(e) => put({ say: e.target.value })}
          />
        </label>
        {own.kind === 'fix' && (
          <label>
            <span className="label">What to do</span>
            <textarea
              className="field font-letter"
              rows={2}
              value={own.action}
              onChange={(e) => put({ action: e.target.value })}
            />
          </label>
        )}
        {trouble && (
          <p role="alert" className="trouble">
            {trouble}
          </p>
        )}
        <button className="act justify-self-start" disabled={busy}>
          Keep it
        </button>
        <p className="quiet">A remark with the same key is written over.</p>
      </form>
    </div>
  );
}
