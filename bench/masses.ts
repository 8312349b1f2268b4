/** Paintings from life over every usable condition and way of framing: their masses against the truth of what was painted. */
import { PICTURES } from '@/demo/pictures';
import { USABLE } from '@/devices/condition-names';
import type { MassOutcome, MassTrial } from './mass-trial';
import { frameWords, quantile, row } from './tally';
import { openMassTrials } from './trials';

/** L* that 95 of 100 masses are read within; between marked corners white is not known, and the curve of the camera is guessed. */
const LIGHTNESS = { sheet: 1.5, brackets: 1.5, corners: 2.5 } as const;
const LIMIT = { lightness: 2, inside: 0.03, recall: 0.95, precision: 0.95 } as const;
const WAYS = ['sheet', 'brackets', 'corners'] as const;
const TONES = [3, 4, 5] as const;

const sum = (outcomes: readonly MassOutcome[], what: 'outside' | 'crossed', of: keyof MassOutcome['outside']) =>
  outcomes.reduce((s, o) => s + o[what][of], 0);

function lineOf({ trial, accepted, codes, outside, crossed, frame }: MassOutcome): string {
  const found = [
    `outside ${outside.told} of ${outside.made} told, ${outside.right} of ${outside.said} right`,
    `crossed ${crossed.told} of ${crossed.made}, ${crossed.right} of ${crossed.said}`,
    frameWords(frame),
  ].join('; ');
  const which = `${trial.scene} ${trial.way} ${trial.camera}, ${trial.tones} tones, seed ${trial.seed}`;
  return `  ${which}: ${accepted ? found : codes.join(', ')}`;
}

/** Returns whether every limit is kept. */
export async function benchMasses(seed: number, megapixels: number): Promise<boolean> {
  const asked = WAYS.flatMap((way, w) =>
    USABLE.flatMap((camera, c) =>
      [0, 1].map((k): MassTrial => ({
        seed: seed + 5000 + 100 * w + 10 * c + k,
        camera,
        way,
        megapixels,
        scene: PICTURES[(w + c + 3 * k) % PICTURES.length] ?? 'salt-pans',
        tones: TONES[(w + c + k) % TONES.length] ?? 3,
      })),
    ),
  );
  const trials = openMassTrials();
  const outcomes = await trials.run(asked);
  await trials.close();
  const read = outcomes.filter((o) => o.accepted);
  const lightness = WAYS.map((way) => ({
    way,
    off: quantile(
      read.filter((o) => o.trial.way === way).flatMap((o) => o.lightness.map(Math.abs)),
      0.95,
    ),
  }));
  const all = quantile(
    read.flatMap((o) => o.lightness.map(Math.abs)),
    0.95,
  );
  const inside = quantile(
    read.flatMap((o) => o.inside.map(Math.abs)),
    0.95,
  );
  const masses = read.reduce((s, o) => s + o.lightness.length, 0);
  console.log(
    `\n${outcomes.length} paintings from life in three to five tones, ` +
      `${masses} masses, ${outcomes.length - read.length} refused`,
  );
  const byWay = lightness.map((l) => `${l.off.toFixed(2)} (${l.way})`).join(', ');
  console.log(
    `lightness of a mass 95 % within ${all.toFixed(2)}, ${byWay} L*, ` +
      `share in its steps 95 % within ${inside.toFixed(3)}`,
  );
  row('', 'made', 'told', 'said', 'right');
  for (const what of ['outside', 'crossed'] as const)
    row(what, sum(read, what, 'made'), sum(read, what, 'told'), sum(read, what, 'said'), sum(read, what, 'right'));
  const frames = read.filter((o) => o.frame.made);
  const found = frames.filter((o) => o.frame.found).length;
  const wrong = read.filter((o) => !o.frame.made && o.frame.found).length;
  console.log(`frames painted round it: ${found} of ${frames.length} found, ${wrong} found where there is none`);
  for (const o of outcomes.filter(
    (x) =>
      !x.accepted ||
      x.frame.made !== x.frame.found ||
      (['outside', 'crossed'] as const).some((w) => x[w].told < x[w].made || x[w].right < x[w].said),
  ))
    console.log(lineOf(o));
  const kept = (['outside', 'crossed'] as const).every(
    (w) =>
      sum(read, w, 'told') >= LIMIT.recall * sum(read, w, 'made') &&
      sum(read, w, 'right') >= LIMIT.precision * sum(read, w, 'said'),
  );
  return (
    kept &&
    found >= LIMIT.recall * frames.length &&
    wrong === 0 &&
    all <= LIMIT.lightness &&
    lightness.every((l) => l.off <= LIGHTNESS[l.way]) &&
    inside <= LIMIT.inside
  );
}
