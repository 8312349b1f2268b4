/** Keeps what stands on the page; at rest where it is kept. */
import type { Keeping } from './use-keeping';

export function KeepButton({ unkept, busy, save }: Pick<Keeping<unknown>, 'unkept' | 'busy' | 'save'>) {
  return (
    <button type="button" className="act w-full" disabled={busy || !unkept} onClick={save}>
      {busy ? 'Keeping …' : unkept ? 'Keep it so' : 'Kept'} {unkept && !busy && <kbd className="text-l10">k</kbd>}
    </button>
  );
}
