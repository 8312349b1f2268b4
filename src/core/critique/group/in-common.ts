/** What the hand-ins of a class have in common: the same thing said of several, those that most have first. */
import type { ToldFinding } from '../finding';
import { capital, list, massName } from '../naming';
import { SHARED_WORDS, sayHowMany } from './words';

/** A hand-in with what is told of it. */
export interface Told {
  readonly attemptId: string;
  readonly findings: readonly ToldFinding[];
}

export interface InCommon {
  readonly code: string;
  readonly kind: ToldFinding['kind'];
  readonly steps: readonly number[];
  readonly shape: string | null;
  /** Those it is said of, those first that show it most. */
  readonly of: readonly string[];
}

/** Something is common that so many have, and such a share of all. */
const LEAST = { hands: 2, share: 0.2 } as const;
/** Told at the most: what works, and what to mend. */
const MOST = { works: 2, fix: 6 } as const;

const keyOf = ({ kind, code, steps, shape }: ToldFinding) => [kind, code, steps.join('+'), shape ?? ''].join(' ');

interface Counted {
  readonly finding: ToldFinding;
  readonly by: Map<string, number>;
}

function countAll(all: readonly Told[]): Counted[] {
  const found = new Map<string, Counted>();
  for (const { attemptId, findings } of all)
    for (const finding of findings) {
      const key = keyOf(finding);
      const counted = found.get(key) ?? { finding, by: new Map<string, number>() };
      counted.by.set(attemptId, Math.max(finding.weight, counted.by.get(attemptId) ?? 0));
      found.set(key, counted);
    }
  return [...found.values()];
}

/** What several have in common, by kind: what most have first, then what weighs most. */
export function inCommon(all: readonly Told[]): InCommon[] {
  const needed = Math.max(LEAST.hands, Math.ceil(LEAST.share * all.length));
  const weightOf = ({ by }: Counted) => [...by.values()].reduce((sum, w) => sum + w, 0);
  const shared = countAll(all)
    .filter(({ by, finding }) => by.size >= needed && finding.code in SHARED_WORDS)
    .sort((a, b) => b.by.size - a.by.size || weightOf(b) - weightOf(a));
  return (['works', 'fix'] as const).flatMap((kind) =>
    shared
      .filter(({ finding }) => finding.kind === kind)
      .slice(0, MOST[kind])
      .map(({ finding: { code, steps, shape }, by }) => ({
        ...{ code, kind, steps, shape },
        of: [...by].sort((a, b) => b[1] - a[1]).map(([attemptId]) => attemptId),
      })),
  );
}

/**
 * A sentence on it: “Nine of fourteen have 3 and 4 too close.”
 *
 * @param shared - what they have in common.
 * @param total - how many hand-ins there are.
 * @param labels - what the class calls the steps, in reading order.
 */
export function sayInCommon(shared: InCommon, total: number, labels: readonly string[]): string {
  const { code, steps, shape, of } = shared;
  const at = shape === null ? list(steps.map((s) => labels[s - 1] ?? String(s))) : massName(shape);
  return `${capital(sayHowMany(of.length, total))} ${SHARED_WORDS[code]?.(at) ?? ''}.`;
}
