'use client';
/** The teacher's last word: pass, once more, or taking the decision back. */
import type { HandInState, Verdict } from '@/data/schema/tables';

interface Props {
  readonly state: HandInState;
  readonly verdict: Verdict | null;
  readonly isCurrent: boolean;
  readonly busy: boolean;
  readonly onVerdict: (verdict: Verdict) => void;
  readonly onWithdraw: () => void;
}

export function DecisionBar({ state, verdict, isCurrent, busy, onVerdict, onWithdraw }: Props) {
  return (
    <div className="sticky -bottom-3 -mx-3 -mb-3 mt-auto flex gap-2 bg-l93 p-3">
      {verdict && isCurrent ? (
        <button type="button" className="calm w-full" disabled={busy} onClick={onWithdraw}>
          Withdraw “{verdict === 'pass' ? 'pass' : 'once more'}” <kbd>w</kbd>
        </button>
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
