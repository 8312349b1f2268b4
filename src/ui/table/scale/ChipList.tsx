'use client';
/** Chips of colour, each with where it was laid and where it belongs. */
import type { MeasuredChip } from '@/core/scale/result';

const WHAT: Record<MeasuredChip['what'], string> = {
  pure: 'a strong colour',
  tint: 'a tint',
  dark: 'a darkened or dulled colour',
  grey: 'a grey',
};

/** Share of the steps that count as the middle, where most colours are hardest to place. */
const THIRD = 1 / 3;

export function ChipList({
  chips,
  labels,
}: {
  readonly chips: readonly MeasuredChip[];
  readonly labels: readonly string[];
}) {
  const last = labels.length - 1;
  const inMiddle = chips.filter((c) => c.belongs - 1 >= THIRD * last && c.belongs - 1 <= (1 - THIRD) * last).length;
  const right = chips.filter((c) => c.nearest === c.step).length;
  return (
    <section aria-label="Chips">
      <h2 className="label">Chips</h2>
      <p>
        {right} of {chips.length} lie under the grey that is as light; {inMiddle} of {chips.length} belong to the middle
        third.
      </p>
      <ul className="text-13">
        {chips
          .filter((c) => c.nearest !== c.step)
          .map((c) => (
            <li key={c.place}>
              Under {labels[c.step - 1]}, {WHAT[c.what]}: belongs under {labels[c.nearest - 1]}
              {Math.abs(c.belongs - c.nearest) > 0.3
                ? `, towards ${labels[(c.belongs > c.nearest ? c.nearest + 1 : c.nearest - 1) - 1] ?? 'the end'}`
                : ''}
              .
            </li>
          ))}
      </ul>
    </section>
  );
}
