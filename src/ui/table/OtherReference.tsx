/** Says that something was measured before its reference was prepared anew, and measures it once more. */
interface Props {
  readonly frozen: boolean;
  readonly busy: boolean;
  readonly measure: () => void;
}

export function OtherReference({ frozen, busy, measure }: Props) {
  return (
    <div className="trouble" role="status">
      <p>Measured before: the reference was prepared anew since.</p>
      {!frozen && (
        <button type="button" className="calm mt-2" disabled={busy} onClick={measure}>
          Measure it against what stands now
        </button>
      )}
    </div>
  );
}
