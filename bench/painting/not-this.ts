/** Paintings of another picture, mirrored, on their head or of half of it are told as that; rough ones of the right picture are not. */
import { USABLE } from '@/devices/condition-names';
import { row } from '../tally';
import { openPaintingTrials } from '../trials';
import type { PaintingTrial } from './painting-trial';
import { type Wrong, WRONGS } from './seen-instead';

/** Smaller than a phone's: nothing of this hangs on detail. */
const MEGAPIXELS = 3;
const LIMIT = { told: 0.98, wrongly: 0 } as const;
const CODE: Record<Wrong, string> = {
  another: 'not_the_reference',
  mirrored: 'mirrored',
  upside_down: 'upside_down',
  half: 'cropped',
};

/** Returns whether every promise is kept. `each` is how many of each wrong kind; rough ones are eight times as many. */
export async function benchNotThis(seed: number, each: number): Promise<boolean> {
  const trials = openPaintingTrials();
  const ask = (k: number, more: Partial<PaintingTrial>): PaintingTrial => ({
    seed: seed + k,
    scene: seed + (k % Math.max(4, each)),
    camera: USABLE[k % USABLE.length] ?? 'studio',
    way: k % 3 === 2 ? 'corners' : 'sheet',
    card: 'nominal',
    megapixels: MEGAPIXELS,
    mistaken: k % 2 === 0 ? 15 : 0,
    moved: false,
    ...more,
  });
  const wrong = await trials.run(
    WRONGS.flatMap((w, j) => Array.from({ length: each }, (_, k) => ask(1000 * j + k, { wrong: w }))),
  );
  const rough = await trials.run(Array.from({ length: 8 * each }, (_, k) => ask(5000 + k, { rough: true })));
  await trials.close();
  console.log(`\n${wrong.length} paintings that are not of their picture, ${rough.length} rough ones that are`);
  row('', 'paintings', 'told', 'as that');
  for (const w of WRONGS) {
    const own = wrong.filter((o) => o.trial.wrong === w);
    row(w, own.length, own.filter((o) => !o.accepted).length, own.filter((o) => o.codes.includes(CODE[w])).length);
  }
  const said = rough.filter((o) => o.codes.some((code) => Object.values(CODE).includes(code)));
  row('rough', rough.length, said.length, '');
  const told = wrong.filter((o) => o.trial.wrong && o.codes.includes(CODE[o.trial.wrong])).length;
  return told >= LIMIT.told * wrong.length && said.length <= LIMIT.wrongly;
}
