'use client';
/** Accepts a flipped shape as a reading, and says when something was measured before one was. */
import { OtherReference } from '../OtherReference';
import type { Standing } from '../table-props';

interface Props {
  /** The flipped shape that is picked can be accepted. */
  readonly able: boolean;
  readonly standing: Standing;
  readonly frozen: boolean;
  readonly busy: boolean;
  readonly accept: (scope: 'this' | 'everyone') => void;
  readonly judge: () => void;
  readonly measure: () => void;
  /** How many readings were accepted for everyone, and how they are taken back. */
  readonly forEveryone: number;
  readonly forget: () => void;
}

export function ReadingChoice({ able, standing, frozen, busy, accept, judge, measure, forEveryone, forget }: Props) {
  return (
    <>
      {standing === 'other-readings' && (
        <div className="trouble" role="status">
          <p>Measured before: another reading of a shape was accepted since.</p>
          {!frozen && (
            <button type="button" className="calm mt-2" disabled={busy} onClick={judge}>
              Judge it by what counts now
            </button>
          )}
        </div>
      )}
      {standing === 'other-set-up' && (
        <div className="trouble" role="status">
          <p>Judged before: what is asked of the masses was changed since.</p>
          {!frozen && (
            <button type="button" className="calm mt-2" disabled={busy} onClick={judge}>
              Judge it by what is asked now
            </button>
          )}
        </div>
      )}
      {standing === 'other-reference' && <OtherReference frozen={frozen} busy={busy} measure={measure} />}
      {able && !frozen && (
        <div className="rounded-sm bg-l97 p-2">
          <p className="text-13">Was this edge lost on purpose? Accept it as a reading, and it counts as right.</p>
          <div className="mt-1 grid grid-cols-2 gap-2">
            <button type="button" className="calm px-2" disabled={busy} onClick={() => accept('this')}>
              For this one <kbd>a</kbd>
            </button>
            <button type="button" className="calm px-2" disabled={busy} onClick={() => accept('everyone')}>
              For everyone <kbd>f</kbd>
            </button>
          </div>
        </div>
      )}
      {forEveryone > 0 && (
        <p className="text-13">
          {forEveryone === 1 ? 'One reading was' : `${forEveryone} readings were`} accepted for everyone.{' '}
          <button type="button" className="min-h-7 cursor-pointer underline" disabled={busy} onClick={forget}>
            Take {forEveryone === 1 ? 'it' : 'them'} back
          </button>
        </p>
      )}
    </>
  );
}
