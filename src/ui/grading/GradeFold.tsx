'use client';
/** Grades by the scheme of the class, each beside what was measured. A person gives them; nothing is filled in before. */
import type { Given } from '@/core/grading/scheme';
import type { CriterionView } from '@/studio/views/grading';
import type { Answer } from '../parts/answer';
import { Trouble, useAsking } from '../parts/use-asking';
import { useSitting } from '../sitting/use-sitting';

interface Props {
  readonly criteria: readonly CriterionView[];
  readonly give: (criterionId: string, given: Given | null) => Promise<Answer<unknown, void>>;
}

function CriterionField({ view, give }: { view: CriterionView; give: Props['give'] }) {
  const { criterion, measured, given } = view;
  const { busy, trouble, ask } = useAsking();
  const { look } = useSitting();
  // A grade can be taken back like whatever else was done in the evening.
  const put = (next: Given | null) =>
    ask(
      () => give(criterion.id, next),
      () => void look(),
    );
  const { by } = criterion;
  return (
    <div>
      <label className="flex items-center justify-between gap-2">
        <span>{criterion.name}</span>
        {by.kind === 'points' ? (
          <span className="flex items-center gap-1">
            <input
              className="field w-20 py-1 text-right tabular-nums"
              type="number"
              min={0}
              max={by.most}
              step="any"
              defaultValue={given?.points ?? ''}
              disabled={busy}
              onBlur={(e) => {
                const typed = e.target.value;
                if (typed === String(given?.points ?? '')) return;
                put(typed === '' ? null : { kind: 'points', points: Number(typed) });
              }}
            />
            <span className="quiet">of {by.most}</span>
          </span>
        ) : (
          <select
            className="field w-40 py-1"
            value={given?.level ?? ''}
            disabled={busy}
            onChange={(e) => put(e.target.value === '' ? null : { kind: 'level', level: e.target.value })}
          >
            <option value="">not yet</option>
            {by.levels.map(({ name }) => (
              <option key={name} value={name}>
                {name}
              </option>
            ))}
          </select>
        )}
      </label>
      {by.kind === 'levels' && given?.level && (
        <p className="quiet">{by.levels.find((l) => l.name === given.level)?.words}</p>
      )}
      <p className="quiet">{measured ?? 'by eye'}</p>
      <Trouble say={trouble} />
    </div>
  );
}

export function GradeFold({ criteria, give }: Props) {
  if (criteria.length === 0) return null;
  const given = criteria.filter((c) => c.given !== null).length;
  return (
    <details className="text-13">
      <summary className="min-h-6 cursor-pointer underline">
        Grades, {given} of {criteria.length} given
      </summary>
      <div className="mt-2 grid gap-3">
        {criteria.map((view) => (
          <CriterionField key={view.criterion.id} view={view} give={give} />
        ))}
      </div>
    </details>
  );
}
