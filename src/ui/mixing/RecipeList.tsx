/** The recipe on the phone: what to mix, in order, the same numbers as on paper. */
import type { Triple } from '@/core/colour/srgb';
import type { RecipeLine } from '@/core/mixing/recipe-words';
import { cssLab } from '../parts/grey';

export function RecipeList({ lines, colours }: { lines: readonly RecipeLine[]; colours: ReadonlyMap<number, Triple> }) {
  return (
    <ol className="grid gap-px" aria-label="Mixes, in order">
      {lines.map((line) => (
        <li key={line.step} className="flex gap-3 border-t border-l80 py-2">
          <span
            className="h-11 w-9 shrink-0"
            style={{ background: cssLab(colours.get(line.step) ?? [50, 0, 0]) }}
            aria-hidden
          />
          <span>
            <strong>{line.name}</strong> = {line.mix}
            {line.orFromLeft && <span className="quiet block">or {line.orFromLeft}</span>}
            <span className="quiet block">
              {line.amount}
              {line.washFirst && ' · wash the brush first'}
              {line.coats > 1 && ` · ${line.coats} coats`}
            </span>
          </span>
        </li>
      ))}
    </ol>
  );
}
