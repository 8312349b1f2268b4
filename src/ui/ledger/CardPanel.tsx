'use client';
/** What is known of the class's printed greys, and the way to make it known. */
import { useTransition } from 'react';
import { FileReaderButton } from '../parts/FileReaderButton';
import { CarryOver } from './CarryOver';

interface Answer {
  readonly ok: boolean;
  readonly say?: string;
}
interface Props {
  readonly classId: string;
  readonly card: { readonly basis: 'measured' | 'carried'; readonly name: string; readonly patches: number } | null;
  readonly bringIn: (text: string) => Promise<Answer>;
  readonly forget: () => Promise<Answer>;
}

export function CardPanel({ classId, card, bringIn, forget }: Props) {
  const [busy, start] = useTransition();
  return (
    <div className="grid gap-2">
      {card ? (
        <p>
          {card.patches} patches, {card.name}. Sheets that come in from now on are measured by them.
        </p>
      ) : (
        <p>
          Nothing is known of your printer: its greys are taken to be as they should be, and readings may be 3 to 9 L*
          off for it.
        </p>
      )}
      <div className="flex flex-wrap items-start gap-2">
        <FileReaderButton label="Bring in readings of a sheet (CSV or CGATS)" send={bringIn} />
        {card && (
          <>
            <a className="calm" href={`/card/${classId}?as=csv`}>
              As CSV
            </a>
            <a className="calm" href={`/card/${classId}?as=cgats`}>
              As CGATS
            </a>
            <button
              type="button"
              className="calm"
              disabled={busy}
              onClick={() => start(async () => void (await forget()))}
            >
              Forget it
            </button>
          </>
        )}
      </div>
      {card && <CarryOver classId={classId} />}
      <p className="quiet">
        Print a sheet, read its greys from the top left on, then those at the foot; “paper” is the bare paper. The
        columns are patch, lightness, a, b.
      </p>
    </div>
  );
}
