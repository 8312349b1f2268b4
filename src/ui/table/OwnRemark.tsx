'use client';
/** Something that no rule says: written anew, or found by its key among the teacher's own remarks. */
import type { FindingKind } from '@/core/critique/finding';
import type { Remark } from '@/core/formats/remarks-csv';
import Link from 'next/link';
import { useId, useState } from 'react';
import type { Answer } from '../parts/answer';
import { FormDialog } from '../parts/FormDialog';
import { KindChoice } from '../remarks/KindChoice';

interface Props {
  readonly open: boolean;
  readonly remarks: readonly Remark[];
  readonly onOpenChange: (open: boolean) => void;
  readonly say: (own: Omit<Remark, 'key'>) => Promise<Answer<unknown, unknown>>;
  readonly keep: (remark: Remark) => Promise<Answer<unknown, unknown>>;
}

export function OwnRemark({ open, onOpenChange, ...rest }: Props) {
  return (
    <FormDialog
      title="A remark of your own"
      about="It goes into this letter beside what was measured."
      open={open}
      onOpenChange={onOpenChange}
    >
      <RemarkForm {...rest} close={() => onOpenChange(false)} />
    </FormDialog>
  );
}

function RemarkForm({
  remarks,
  say,
  keep,
  close,
}: Omit<Props, 'open' | 'onOpenChange'> & { readonly close: () => void }) {
  const [key, setKey] = useState('');
  const [kind, setKind] = useState<FindingKind>('fix');
  const [seen, setSeen] = useState('');
  const [action, setAction] = useState('');
  const [trouble, setTrouble] = useState('');
  const [busy, setBusy] = useState(false);
  const list = useId();

  const find = (typed: string) => {
    setKey(typed);
    const known = remarks.find((r) => r.key.toLowerCase() === typed.trim().toLowerCase());
    if (!known) return;
    setKind(known.kind);
    setSeen(known.say);
    setAction(known.action);
  };
  const send = async (keepToo: boolean) => {
    setBusy(true);
    const own = { kind, say: seen, action: kind === 'works' ? '' : action };
    const kept = keepToo ? await keep({ key, ...own }) : null;
    const answer = kept && !kept.ok ? kept : await say(own);
    setBusy(false);
    if (answer.ok) close();
    else setTrouble(answer.say);
  };
  return (
    <form
      className="grid gap-2"
      onSubmit={(e) => {
        e.preventDefault();
        void send(false);
      }}
    >
      <label>
        <span className="label">Its key, to find it by</span>
        <input className="field" list={list} value={key} onChange={(e) => find(e.target.value)} />
        <datalist id={list}>
          {remarks.map((r) => (
            <option key={r.key} value={r.key}>
              {r.say}
            </option>
          ))}
        </datalist>
      </label>
      <KindChoice kind={kind} onChange={setKind} />
      <label>
        <span className="label">What is seen</span>
        <textarea className="field" rows={3} required value={seen} onChange={(e) => setSeen(e.target.value)} />
      </label>
      {kind === 'fix' && (
        <label>
          <span className="label">What to do</span>
          <textarea className="field" rows={2} value={action} onChange={(e) => setAction(e.target.value)} />
        </label>
      )}
      {trouble && (
        <p role="alert" className="trouble">
          {trouble}
        </p>
      )}
      <div className="mt-1 flex flex-wrap gap-2">
        <button className="act" disabled={busy || seen.trim() === ''}>
          Say it
        </button>
        <button
          type="button"
          className="calm"
          disabled={busy || seen.trim() === '' || key.trim() === ''}
          onClick={() => void send(true)}
        >
          Say it, and keep it
        </button>
        <button type="button" className="calm ml-auto" onClick={close}>
          Leave
        </button>
      </div>
      <Link className="text-13 underline" href="/ledger/remarks">
        All your remarks
      </Link>
    </form>
  );
}
