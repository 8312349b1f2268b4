'use client';
/** The words of one finding while they are edited. */
import type { SaidItem } from '@/core/critique/letter';
import { useState } from 'react';
import type { Answer, Meanwhile } from '../parts/answer';
import { BothVersions } from '../parts/BothVersions';
import { SaidBefore } from './SaidBefore';
import type { ItemChange, Phrases } from './table-props';

interface Props {
  readonly item: SaidItem;
  /** How often it had been changed when it was opened. */
  readonly written: number;
  readonly phrases: Phrases;
  readonly change: (change: ItemChange, seen: number) => Promise<Answer<Omit<SaidItem, 'original'>, void>>;
  readonly close: () => void;
}

export function FindingForm({ item, written, phrases, change, close }: Props) {
  const { original } = item;
  const [seen] = useState(written);
  const [say, setSay] = useState(item.say ?? original.say);
  const [action, setAction] = useState(item.action ?? original.do ?? '');
  const [clash, setClash] = useState<Meanwhile<Omit<SaidItem, 'original'>> | null>(null);
  const [busy, setBusy] = useState(false);

  const keep = async (over: number) => {
    setBusy(true);
    // The draft's own words are no edit.
    const answer = await change(
      { say: say === original.say ? '' : say, action: action === (original.do ?? '') ? '' : action },
      over,
    );
    setBusy(false);
    if (answer.ok) close();
    else setClash(answer.meanwhile ?? null);
  };
  return (
    <form
      className="rounded-sm bg-l97 p-2"
      onSubmit={(e) => {
        e.preventDefault();
        void keep(seen);
      }}
      onKeyDown={(e) => {
        if (e.key === 'Escape') close();
      }}
    >
      <label>
        <span className="label">What is seen</span>
        <textarea className="field" rows={3} autoFocus value={say} onChange={(e) => setSay(e.target.value)} />
      </label>
      <SaidBefore phrases={phrases.say} now={say} use={setSay} />
      {original.kind === 'fix' && (
        <>
          <label>
            <span className="label mt-2">What to do</span>
            <textarea className="field" rows={2} value={action} onChange={(e) => setAction(e.target.value)} />
          </label>
          <SaidBefore phrases={phrases.action} now={action} use={setAction} />
        </>
      )}
      {clash ? (
        <BothVersions
          mine={`${say}\n${action}`}
          theirs={
            clash.theirs.dropped
              ? 'Dropped'
              : `${clash.theirs.say ?? original.say}\n${clash.theirs.action ?? original.do ?? ''}`
          }
          busy={busy}
          keepMine={() => void keep(clash.written)}
          keepTheirs={close}
        />
      ) : (
        <div className="mt-2 flex gap-2">
          <button className="act" disabled={busy}>
            Keep these words
          </button>
          <button type="button" className="calm" onClick={close}>
            Leave
          </button>
        </div>
      )}
    </form>
  );
}
