/** Keeps what stands on the page; at rest where it is kept. Where somebody else wrote meanwhile, it shows the one or the other. */
import type { Keeping } from './use-keeping';

type Props = Pick<Keeping<unknown>, 'unkept' | 'busy' | 'save' | 'shows' | 'swap'>;

export function KeepButton({ unkept, busy, save, shows, swap }: Props) {
  const ask = shows === 'mine' ? 'Keep mine' : 'Keep it so';
  return (
    <div className="grid gap-2">
      {shows && (
        <p role="status">
          {shows === 'mine' ? 'This is yours, not kept yet. ' : 'This is how it stands, from somewhere else. '}
          <button type="button" className="cursor-pointer underline" disabled={busy} onClick={swap}>
            {shows === 'mine' ? 'Look at what stands' : 'Back to mine'}
          </button>
        </p>
      )}
      <button type="button" className="act w-full" disabled={busy || !unkept} onClick={save}>
        {busy ? 'Keeping …' : unkept ? ask : 'Kept'} {unkept && !busy && <kbd className="text-l10">k</kbd>}
      </button>
    </div>
  );
}
