/** One paint of the palette; `none` names an empty choice, where there is one. */
import { type PaintId, PAINTS } from '@/core/exercise/paints';

interface Props {
  readonly label: string;
  readonly paints: readonly PaintId[];
  readonly value: PaintId | null;
  readonly none?: string;
  readonly onChoose: (paint: PaintId | null) => void;
  readonly className?: string;
}

export function PaintSelect({ label, paints, value, none, onChoose, className }: Props) {
  return (
    <label className={className}>
      <span className="label">{label}</span>
      <select
        className="field"
        value={value ?? ''}
        onChange={(e) => onChoose((e.target.value || null) as PaintId | null)}
      >
        {none !== undefined && <option value="">{none}</option>}
        {paints.map((p) => (
          <option key={p} value={p}>
            {PAINTS[p].name}
          </option>
        ))}
      </select>
    </label>
  );
}
