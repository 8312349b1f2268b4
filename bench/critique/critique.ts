/** What is said first of paintings with planted faults: whether it is the largest of them, whether it is there, and what doing it does. */
import { USABLE } from '@/devices/condition-names';
import { row } from '../tally';
import { openCritiqueTrials } from '../trials';
import type { CritiqueOutcome, CritiqueTrial } from './critique-trial';

/** Paintings a seed. */
const PAINTINGS = 20;
const LIMIT = { largest: 0.95, wrong: 0.1, lowers: 0.95, best: 0.75, alike: 0.95 } as const;
/** What one photograph of a painting and the next may differ by, in what findings weigh. */
const SAME = 0.02;
const FIRST = 3;

/** Whether the two largest faults are among the first fixes. */
function largestFirst({ faults }: CritiqueOutcome): boolean {
  const two = [...faults].sort((a, b) => b.size - a.size).slice(0, 2);
  return two.every(({ place }) => place !== null && place < FIRST);
}

const lowers = ({ before, after }: CritiqueOutcome) => (after[0]?.error ?? Infinity) < before;
const isBest = ({ after }: CritiqueOutcome) =>
  after.every(({ error }) => (after[0]?.error ?? Infinity) <= error + SAME);
const alike = ({ first }: CritiqueOutcome) => first.every(({ same }) => same);

function tell({ trial, faults, fixes, before, after, first, plantedBefore, plantedAfter }: CritiqueOutcome): void {
  const said = fixes.map(
    (f) =>
      `${f.key} (${f.shape ?? f.kind ?? ''}) ${f.weight.toFixed(2)} removes ${f.removes?.toFixed(2) ?? 'cured'}${f.there ? '' : ' NOT THERE'}`,
  );
  console.log(`  seed ${trial.seed}, scene ${trial.scene}, ${trial.camera}`);
  console.log(`    planted ${faults.map((f) => `${f.kind} ${f.size.toFixed(2)} (${f.place ?? 'none'})`).join(', ')}`);
  console.log(`    said    ${said.join('; ')}`);
  console.log(
    `    before  ${before.toFixed(2)}; after ${after.map((a) => `${a.asks} by ${a.way}: ${a.error.toFixed(2)}`).join('; ')}`,
  );
  console.log(
    `    by what was planted ${plantedBefore.toFixed(2)}; ${plantedAfter.map((e) => e.toFixed(2)).join(', ')}`,
  );
  console.log(`    others  ${first.map((f) => `${f.camera}: ${f.key ?? 'nothing'}`).join('; ')}`);
}

/** Returns whether every promise is kept; paintings that break one are told of. */
export async function benchCritique(seed: number, seeds: number, megapixels: number): Promise<boolean> {
  const trials = openCritiqueTrials();
  const trialOf = (s: number, k: number): CritiqueTrial => ({
    seed: seed + 1000 * s + k,
    scene: seed + 1000 * s + k,
    camera: USABLE[k % USABLE.length] ?? 'studio',
    megapixels,
    also: USABLE.filter((_, j) => j !== k % USABLE.length).slice(0, 4),
    carried: true,
  });
  console.log(`\nFirst fixes of ${PAINTINGS} paintings with two to four faults, five seeds, ${megapixels} megapixels`);
  row('seed', 'read', 'largest', 'not there', 'lowers', 'best', 'alike');
  const all: CritiqueOutcome[] = [];
  for (let s = 0; s < seeds; s++) {
    const outcomes = await trials.run(Array.from({ length: PAINTINGS }, (_, k) => trialOf(s, k)));
    const read = outcomes.filter((o) => o.accepted);
    all.push(...read);
    const count = (is: (o: CritiqueOutcome) => boolean) => read.filter(is).length;
    const wrong = count((o) => o.fixes.some((f) => !f.there));
    row(String(seed + 1000 * s), read.length, count(largestFirst), wrong, count(lowers), count(isBest), count(alike));
    read
      .filter((o) => !largestFirst(o) || !lowers(o) || !isBest(o) || !alike(o) || o.fixes.some((f) => !f.there))
      .forEach(tell);
  }
  await trials.close();
  const share = (is: (o: CritiqueOutcome) => boolean) => all.filter(is).length / all.length;
  const wrong = share((o) => o.fixes.some((f) => !f.there));
  row('all', all.length, share(largestFirst), wrong, share(lowers), share(isBest), share(alike));
  return (
    share(largestFirst) >= LIMIT.largest &&
    wrong <= LIMIT.wrong &&
    share(lowers) >= LIMIT.lowers &&
    share(isBest) >= LIMIT.best &&
    share(alike) >= LIMIT.alike
  );
}
