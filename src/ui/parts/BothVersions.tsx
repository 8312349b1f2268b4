'use client';
/** Something was written elsewhere meanwhile: both versions, and whose is kept. */
import type { ReactNode } from 'react';
import { intoView } from './into-view';

interface Props {
  readonly mine: ReactNode;
  readonly theirs: ReactNode;
  readonly busy: boolean;
  readonly keepMine: () => void;
  readonly keepTheirs: () => void;
}

export function BothVersions({ mine, theirs, busy, keepMine, keepTheirs }: Props) {
  return (
    <section ref={intoView} className="trouble mt-2 grid scroll-mb-24 gap-2" aria-label="Two versions">
      <div>
        <p className="label">As it stands, from somewhere else</p>
        <div className="whitespace-pre-line">{theirs}</div>
      </div>
      <div>
        <p className="label">Yours, not kept yet</p>
        <div className="whitespace-pre-line">{mine}</div>
      </div>
      <div className="flex flex-wrap gap-2">
        <button type="button" className="act" disabled={busy} onClick={keepMine}>
          Keep mine
        </button>
        <button type="button" className="calm" disabled={busy} onClick={keepTheirs}>
          Leave it as it stands
        </button>
      </div>
    </section>
  );
}
