'use client';
/** The fewest steps to paint again, each with how far it has to go. */
import { inSteps } from '@/core/critique/amounts';
import { list } from '@/core/critique/naming';
import type { ScaleResult } from '@/core/scale/result';

interface Props {
  readonly result: ScaleResult;
  readonly labels: readonly string[];
  /** What to add for each, in the same order; null where the paints tell nothing. */
  readonly says: readonly string[] | null;
}

export function LeastWork({ result, labels, says }: Props) {
  const work = result.leastWork;
  if (!work) return null;
  if (work.length === 0) return <p className="quiet">Least work: nothing needs painting again.</p>;
  const size =
    Math.abs((result.steps[0]?.target ?? 0) - (result.steps.at(-1)?.target ?? 0)) /
    Math.max(1, result.steps.length - 1);
  const said = work.map(
    ({ step, from, to }) =>
      `${labels[step - 1] ?? step} (${inSteps((to - from) / size)} ${to > from ? 'lighter' : 'darker'})`,
  );
  return (
    <div className="text-15">
      <p>
        <span className="label mr-1">Least work</span>
        Paint {list(said)} again; the rest may stay.
      </p>
      {says && (
        <details className="text-13">
          <summary className="cursor-pointer py-1">What to add for each</summary>
          <ul className="list-disc pl-5">
            {says.map((words) => (
              <li key={words}>{words}</li>
            ))}
          </ul>
        </details>
      )}
    </div>
  );
}
