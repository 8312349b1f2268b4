/** Copies in colour: how near colours are read to the paint, and which mistaken ones are told. */
import { USABLE } from '@/devices/condition-names';
import { type Found, quantile, row, rowOfFound } from '../tally';
import { openColourTrials } from '../trials';
import { meet } from './boxes';
import type { ColourOutcome, ColourTrial } from './colour-trial';

export const COLOUR_LIMIT = { recall: 0.9, precision: 0.9, read: 3 } as const;
/** What all of it is off by, in one painting after the other. */
const WHOLES = ['right', 'right', 'cast', 'dull'] as const;
const MISTAKEN = 14;
const SPREAD = 6;

/** Told of shapes by their name, where they have one; else by their place. */
function tallied(outcomes: readonly ColourOutcome[]): Found {
  let [planted, found, said, right] = [0, 0, 0, 0];
  for (const { trial, shapes, said: told } of outcomes) {
    const wrong = shapes.filter((s) => s.by);
    const off = told.filter((t) => t.code === 'colour_off');
    const same = (s: (typeof wrong)[number], t: (typeof off)[number]) =>
      trial.named ? t.shape === s.name : t.box !== null && meet(t.box, s.box);
    planted += wrong.length;
    found += wrong.filter((s) => off.some((t) => same(s, t))).length;
    said += off.length;
    right += off.filter((t) => wrong.some((s) => same(s, t))).length;
  }
  return { planted, found, said, right };
}

/** Shadows that turn warm for cool, or cool for warm, and nothing else amiss. */
function turnedKept(outcomes: readonly ColourOutcome[]): boolean {
  let [planted, found, said, right] = [0, 0, 0, 0];
  for (const { turned, said: told } of outcomes) {
    const own = told.filter((t) => t.code === 'shadow_warmth').map((t) => t.shape);
    planted += turned.length;
    found += turned.filter((name) => own.includes(name)).length;
    said += own.length;
    right += own.filter((name) => name !== null && turned.includes(name)).length;
  }
  return rowOfFound('shadows turned', { planted, found, said, right }, COLOUR_LIMIT);
}

/** Returns whether every promise is kept, of those on sheets with coloured patches. */
export async function benchColours(seed: number, each: number, megapixels: number): Promise<boolean> {
  const trials = openColourTrials();
  const ask = (k: number): ColourTrial => ({
    ...{ seed: seed + k, scene: 9200 + (k % 12), camera: USABLE[k % USABLE.length] ?? 'studio', megapixels },
    way: k % 5 === 4 ? 'brackets' : 'sheet',
    mistaken: k % 3 === 0 ? 0 : MISTAKEN,
    whole: WHOLES[k % WHOLES.length] ?? 'right',
    named: k % 2 === 0,
  });
  const outcomes = await trials.run(Array.from({ length: each }, (_, k) => ask(k)));
  const turned = await trials.run(
    Array.from({ length: Math.ceil(each / 2) }, (_, k): ColourTrial => ({
      ...ask(1000 + k),
      ...{ way: 'sheet', mistaken: 0, whole: 'right', named: true, turned: true },
    })),
  );
  await trials.close();
  const read = outcomes.filter((o) => o.accepted);
  console.log(`\n${read.length} of ${outcomes.length} copies in colour, ${megapixels} megapixels`);
  row('', 'planted', 'told', 'recall', 'precision');
  let kept = true;
  for (const way of ['sheet', 'brackets'] as const)
    for (const named of [true, false]) {
      const own = read.filter((o) => o.trial.way === way && o.trial.named === named);
      const good = rowOfFound(`${way}, ${named ? 'named' : 'without names'}`, tallied(own), COLOUR_LIMIT);
      if (way === 'sheet') kept &&= good;
    }
  for (const way of ['sheet', 'brackets'] as const) {
    const own = read.filter((o) => o.trial.way === way);
    const off = own.flatMap((o) =>
      o.shapes.flatMap((s) => (s.read ? [Math.hypot(s.read[0] - s.painted[0], s.read[1] - s.painted[1])] : [])),
    );
    row(`${way}: a*, b* off`, quantile(off, 0.5), quantile(off, 0.95));
    if (way === 'sheet') kept &&= quantile(off, 0.95) <= COLOUR_LIMIT.read;
  }
  kept = turnedKept(turned.filter((o) => o.accepted)) && kept;
  const whole = (code: string, is: (o: ColourOutcome) => boolean) => {
    const told = (o: ColourOutcome) => o.said.some((s) => s.code === code);
    const wrong = read.filter(is);
    const others = read.filter((o) => !is(o));
    console.log(
      `${code}: told of ${wrong.filter(told).length} of ${wrong.length}, and of ${others.filter(told).length} of ${others.length} that are not`,
    );
    return wrong.every(told) && !others.some(told);
  };
  const casts = whole('colour_cast', (o) => o.trial.whole === 'cast');
  // Of a reference that is grey itself nobody can say that a copy is duller.
  const dull = whole('colour_strength', (o) => o.trial.whole === 'dull' && o.spread > SPREAD);
  return kept && casts && dull;
}
