/** Why a finding is said, as part of a row of buttons: its numbers, and what it is judged by, below them. */
import type { Why } from '@/core/critique/why';

interface Props {
  readonly why: Why;
  readonly open: boolean;
  readonly onOpen: (open: boolean) => void;
}

export function WhyFold({ why: { numbers, weight, source }, open, onOpen }: Props) {
  const rows = weight === null ? numbers : [...numbers, { label: 'weighs, beside the rest', value: String(weight) }];
  return (
    <>
      <button type="button" className="cursor-pointer underline" aria-expanded={open} onClick={() => onOpen(!open)}>
        Why do you say so?
      </button>
      {open && (
        <div className="mt-1 basis-full pr-2">
          <dl className="grid grid-cols-[1fr_auto] gap-x-3">
            {rows.map(({ label, value }) => (
              <div key={label} className="contents">
                <dt>{label}</dt>
                <dd className="text-right tabular-nums">{value}</dd>
              </div>
            ))}
          </dl>
          {source !== null && <p className="quiet mt-1">Judged by: {source}.</p>}
        </div>
      )}
    </>
  );
}
