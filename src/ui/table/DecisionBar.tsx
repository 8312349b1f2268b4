'use client';
/** The teacher's last word: pass, once more, taking the decision back, or sending a letter that is held. */
import type { Verdict } from '@/core/critique/verdict';
import type { HandInState } from '@/data/schema/tables';

interface Props {
  readonly state: HandInState;
  readonly verdict: Verdict | null;
  readonly isCurrent: boolean;
  readonly busy: boolean;
  readonly onVerdict: (verdict: Verdict) => void;
  readonly onWithdraw: () => void;
  readonly onSend: () => void;
}

const SAID: Record<Verdict, string> = { pass: 'pass', again: 'once more' };

export function DecisionBar({ state, verdict, isCurrent, busy, onVerdict, onWithdraw, onSend }: Props) {
  return (
    <div className="sticky -bottom-3 -mx-3 -mb-3 mt-auto flex gap-2 bg-l93 p-3">
      {verdict && isCurrent ? (
        <>
          <button type="button" className="calm flex-1" disabled={busy} onClick={onWithdraw}>
            Withdraw “{SAID[verdict]}” <kbd>w</kbd>
          </button>
          {state === 'held' && (
            <button type="button" className="act flex-1" disabled={busy} onClick={onSend}>
              Send it now <kbd className="text-l10">Enter</kbd>
            </button>
          )}
        </>
      ) : (
        isCurrent &&
        state === 'waiting' && (
          <>
            <button type="button" className="calm flex-1" disabled={busy} onClick={() => onVerdict('again')}>
              Once more <kbd>g</kbd>
            </button>
            <button type="button" className="act flex-1" disabled={busy} onClick={() => onVerdict('pass')}>
              Pass <kbd className="text-l10">p</kbd>
            </button>
          </>
        )
      )}
    </div>
  );
}
