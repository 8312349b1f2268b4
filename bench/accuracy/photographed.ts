/** The photographs of the accuracy report, group by group. */
import { MOTIFS } from '@/core/exercise/terms';
import { type CameraCondition, CURVES, NEAR_MISSES, SPECIAL, UNUSABLE, USABLE } from '@/devices/condition-names';
import type { Trial, TrialOutcome, Way } from '../trial-outcome';

export type Run = (trials: readonly Trial[]) => Promise<TrialOutcome[]>;

const STEPS = [5, 7, 9, 12] as const;

/** Photographs as messages between phones carry them, megapixels: 1600 x 1200 and 1280 x 960. */
export const MESSAGE_MEGAPIXELS = [1.92, 1.2288] as const;
export const FAULTS = Object.keys(UNUSABLE) as (keyof typeof UNUSABLE)[];
/** What comes near to a fault, and is usable. */
export const NEARLY: readonly CameraCondition[] = [...SPECIAL, ...(Object.keys(NEAR_MISSES) as CameraCondition[])];

/** Cells painted alike, each other one, over the whole width of the sheet. */
const ALIKE = { lightness: [70, 40, 70, 40, 70, 40, 70, 40, 70], faults: [] };

interface Part {
  readonly way: Way;
  readonly cameras: readonly CameraCondition[];
  readonly rounds: number;
  readonly more?: Partial<Trial>;
}

function trialsOf({ way, cameras, rounds, more }: Part, seed: number): Trial[] {
  return Array.from({ length: rounds }, (_, round) =>
    cameras.map((camera, k): Trial => {
      const n = round * cameras.length + k;
      return {
        steps: way === 'sheet' ? (STEPS[(round + k) % STEPS.length] ?? 9) : ([5, 7, 9][(round + k) % 3] ?? 7),
        paper: n % 2 === 0 ? 'a4' : 'letter',
        paint: way === 'sheet' && n % 3 !== 0 ? 'random' : 'fine',
        camera,
        printer: 'office',
        card: 'measured',
        way,
        seed: seed + n,
        ...more,
      };
    }),
  ).flat();
}

/** Everything that was photographed and read, by what it is asked for. */
export interface Photographed {
  readonly sheets: TrialOutcome[];
  readonly boards: TrialOutcome[];
  readonly marked: TrialOutcome[];
  /** Between marked corners with no paper showing. */
  readonly bare: TrialOutcome[];
  /** Under the strongest tone curves of cameras. */
  readonly curves: TrialOutcome[];
  readonly hue: TrialOutcome[];
  readonly alike: TrialOutcome[];
  readonly drawn: { readonly sheets: TrialOutcome[]; readonly boards: TrialOutcome[]; readonly marked: TrialOutcome[] };
  readonly nearly: TrialOutcome[];
  readonly unusable: TrialOutcome[];
  /** On a sheet whose card nobody measured. */
  readonly nominal: TrialOutcome[];
  /** By size, as in {@link MESSAGE_MEGAPIXELS}. */
  readonly messages: TrialOutcome[][];
}

export async function photographAll(run: Run, seed: number, rounds: number, megapixels: number): Promise<Photographed> {
  const outcomes = (from: number, part: Part, size = megapixels) =>
    run(trialsOf(part, seed + from).map((t) => ({ ...t, megapixels: size })));
  const few = Math.max(2, Math.ceil(rounds / 3));
  const fewest = Math.ceil(few / 2);
  const byHand = { printer: 'nominal', paint: 'fine' } as const;

  async function drawn(way: Way, from: number, more?: Partial<Trial>): Promise<TrialOutcome[]> {
    const all: TrialOutcome[] = [];
    for (const [k, motif] of MOTIFS.entries())
      all.push(
        ...(await outcomes(from + 1000 * k, {
          way,
          cameras: USABLE,
          rounds: Math.ceil(few / 3),
          more: { drawn: motif, paint: 'fine', ...more },
        })),
      );
    return all;
  }
  const messages: TrialOutcome[][] = [];
  for (const [k, size] of MESSAGE_MEGAPIXELS.entries())
    messages.push(await outcomes(130_000 + 1000 * k, { way: 'sheet', cameras: USABLE, rounds: few }, size));

  return {
    messages,
    sheets: await outcomes(0, { way: 'sheet', cameras: USABLE, rounds, more: { pixels: true } }),
    boards: await outcomes(10_000, { way: 'brackets', cameras: USABLE, rounds }),
    marked: await outcomes(20_000, { way: 'corners', cameras: USABLE, rounds, more: byHand }),
    bare: await outcomes(30_000, { way: 'corners-bare', cameras: ['even-light'], rounds: few }),
    curves: await outcomes(40_000, { way: 'sheet', cameras: CURVES, rounds: few }),
    hue: await outcomes(50_000, { way: 'sheet', cameras: ['other-primaries'], rounds, more: { hue: true } }),
    alike: await outcomes(90_000, { way: 'sheet', cameras: CURVES, rounds: few, more: { paint: ALIKE, steps: 9 } }),
    drawn: {
      sheets: await drawn('sheet', 100_000),
      boards: await drawn('brackets', 110_000),
      marked: await drawn('corners', 120_000, byHand),
    },
    nearly: await outcomes(60_000, { way: 'sheet', cameras: NEARLY, rounds: fewest }),
    unusable: await outcomes(70_000, { way: 'sheet', cameras: FAULTS, rounds: fewest }),
    nominal: await outcomes(80_000, {
      way: 'sheet',
      cameras: ['studio'],
      rounds: few,
      more: { printer: 'nominal' },
    }),
  };
}

/** Every photograph that ought to be taken. */
export const usableOf = (p: Photographed): TrialOutcome[] => [
  ...p.sheets,
  ...p.boards,
  ...p.marked,
  ...p.bare,
  ...p.curves,
  ...p.alike,
  ...p.hue,
  ...p.nearly,
  ...p.drawn.sheets,
  ...p.drawn.boards,
  ...p.drawn.marked,
];

/** Those made unusable that were refused with the code of their fault. */
export const namedOf = ({ unusable }: Photographed): TrialOutcome[] =>
  unusable.filter((o) => !o.accepted && o.codes.includes(UNUSABLE[o.trial.camera as keyof typeof UNUSABLE]));
