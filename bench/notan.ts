/** Paintings in few tones over every usable condition and way of framing, against the truth of what was painted. */
import { USABLE } from '@/devices/condition-names';
import type { NotanOutcome, NotanTrial } from './notan-trial';
import { frameWords, quantile, row } from './tally';
import { openNotanTrials } from './trials';

export const LIMIT = { share: 0.02, agreement: 0.02, recall: 0.95, precision: 0.95 } as const;
const LEAST_HAND_INS = 60;
const WAYS = ['sheet', 'brackets', 'corners'] as const;

const sum = (outcomes: readonly NotanOutcome[], of: keyof NotanOutcome['flips']) =>
  outcomes.reduce((s, o) => s + o.flips[of], 0);

function lineOf({ trial, accepted, codes, shares, flips, frame }: NotanOutcome): string {
  const found = [
    `shares off by ${Math.max(...shares.map(Math.abs)).toFixed(3)}`,
    `${flips.told} of ${flips.made} told, ${flips.right} of ${flips.said} right`,
    frameWords(frame),
  ].join(', ');
  return `  ${trial.way} ${trial.camera}, ${trial.tones} tones, seed ${trial.seed}: ${accepted ? found : codes.join(', ')}`;
}

/** Returns whether every limit is kept. */
export async function benchNotan(seed: number, rounds: number, megapixels: number): Promise<boolean> {
  const each = Math.max(rounds, Math.ceil(LEAST_HAND_INS / (WAYS.length * USABLE.length)));
  const asked = Array.from({ length: each }, (_, round) =>
    WAYS.flatMap((way, w) =>
      USABLE.map((camera, c): NotanTrial => ({
        seed: seed + 1000 * round + 100 * w + c,
        tones: 2 + ((round + w + c) % 3),
        camera,
        way,
        megapixels,
      })),
    ),
  ).flat();
  const trials = openNotanTrials();
  const outcomes = await trials.run(asked);
  await trials.close();
  console.log(
    `\n${outcomes.length} paintings in two to four tones, ${megapixels} megapixels; differences from what was painted`,
  );
  row('', 'refused', 'share 95 %', 'agree 95 %', 'flipped', 'told', 'said', 'right');
  const line = (name: string, own: readonly NotanOutcome[]) => {
    const read = own.filter((o) => o.accepted);
    const [share, agreement] = [
      quantile(
        read.flatMap((o) => o.shares.map(Math.abs)),
        0.95,
      ),
      quantile(
        read.map((o) => Math.abs(o.agreement)),
        0.95,
      ),
    ];
    row(
      name,
      own.length - read.length,
      share.toFixed(4),
      agreement.toFixed(4),
      sum(read, 'made'),
      sum(read, 'told'),
      sum(read, 'said'),
      sum(read, 'right'),
    );
    return {
      share,
      agreement,
      recall: sum(read, 'told') / Math.max(1, sum(read, 'made')),
      precision: sum(read, 'right') / Math.max(1, sum(read, 'said')),
    };
  };
  for (const way of WAYS)
    line(
      way,
      outcomes.filter((o) => o.trial.way === way),
    );
  const all = line('all', outcomes);
  const frames = outcomes.filter((o) => o.frame.made);
  const found = frames.filter((o) => o.frame.found).length;
  const wrong = outcomes.filter((o) => o.accepted && !o.frame.made && o.frame.found).length;
  console.log(`frames painted round it: ${found} of ${frames.length} found, ${wrong} found where there is none`);
  for (const o of outcomes.filter(
    (x) =>
      !x.accepted ||
      Math.max(...x.shares.map(Math.abs)) > LIMIT.share ||
      x.flips.told < x.flips.made ||
      x.flips.right < x.flips.said ||
      x.frame.made !== x.frame.found,
  ))
    console.log(lineOf(o));
  return (
    all.share <= LIMIT.share &&
    all.agreement <= LIMIT.agreement &&
    all.recall >= LIMIT.recall &&
    all.precision >= LIMIT.precision &&
    found >= LIMIT.recall * frames.length &&
    wrong === 0
  );
}
