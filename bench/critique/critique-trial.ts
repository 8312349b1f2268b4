/** One painting with planted faults: what is said first, whether that is there, and what carrying it out does. */
import type { Action } from '@/core/critique/painting/actions/action';
import { candidatesFor } from '@/core/critique/painting/actions/candidates';
import { totalError } from '@/core/critique/painting/actions/order';
import { orderedCritique, readingOf, tellAll } from '@/core/critique/painting/critique';
import type { PaintingFacts } from '@/core/critique/painting/facts';
import type { Told } from '@/core/critique/rule';
import type { PaintingResult } from '@/core/painting/result';
import type { CameraCondition } from '@/devices/condition-names';
import { meet } from '../painting/boxes';
import { type Fault, sizeOf, TOLERANCE_STEPS } from './faults';
import { measured, painted, type Shot, type Sitting, sittingOf } from './faulty-painting';
import { mended } from './mended';
import { isAbout, isOnCanvas } from './there';
import type { ToldFix } from './told-fix';

export interface CritiqueTrial {
  readonly seed: number;
  readonly scene: number;
  readonly camera: CameraCondition;
  readonly megapixels: number;
  /** Other conditions that the same painting is photographed in. */
  readonly also: readonly CameraCondition[];
  /** Whether its actions are carried out. */
  readonly carried: boolean;
}

export interface CritiqueOutcome {
  readonly trial: CritiqueTrial;
  readonly accepted: boolean;
  readonly faults: readonly { readonly kind: Fault['kind']; readonly size: number; readonly place: number | null }[];
  /** Every fix in its order, whether what it says is there, and what its action is thought to take away; null of what another one cures. */
  readonly fixes: readonly (ToldFix & { readonly there: boolean; readonly removes: number | null })[];
  /** The first fix of each other photograph, and whether it is the same as this one's. */
  readonly first: readonly { readonly camera: string; readonly key: string | null; readonly same: boolean }[];
  /** All that is amiss before, and after each action by itself; the first is the one that is advised. */
  readonly before: number;
  readonly after: readonly { readonly asks: string; readonly way: string; readonly error: number }[];
  /** The same by what was planted. */
  readonly plantedBefore: number;
  readonly plantedAfter: readonly number[];
}

function fixOf({ key, code, subject, weight, facts }: Told<PaintingFacts>): ToldFix {
  const shape = subject.kind === 'shape' ? subject : null;
  const known = facts as Partial<PaintingFacts['part_off'] & PaintingFacts['line_off']>;
  return {
    ...{ key, code, weight, shape: shape?.name, box: shape?.box },
    ...{
      steps: known.steps ?? 0,
      outline: known.part?.outline ?? [],
      light: known.line?.light ?? false,
      kind: known.line?.kind ?? null,
    },
  };
}

const ordered = (result: PaintingResult) => orderedCritique(result, TOLERANCE_STEPS);

/** Two that say the same of the same place. */
function isSame(a: ToldFix, b: ToldFix): boolean {
  if (a.code !== b.code) return false;
  if (a.shape !== undefined || b.shape !== undefined) return a.shape === b.shape;
  return !a.box || !b.box || meet(a.box, b.box);
}

const errorOf = (result: PaintingResult): number => {
  const reading = readingOf(result, TOLERANCE_STEPS);
  return reading ? totalError(tellAll, reading) : NaN;
};

/** Actions that differ in what would be painted. */
function different(actions: readonly Action[]): Action[] {
  const seen = new Map(actions.map((a) => [JSON.stringify(a.way), a]));
  return [...seen.values()];
}

const planted = (sitting: Sitting, faults: readonly Fault[]): number => {
  const values = new Map<number, number>();
  for (const f of faults) if (f.kind === 'value') values.set(f.shape, (values.get(f.shape) ?? 0) + f.by);
  const others = faults.filter((f) => f.kind !== 'value');
  const all: Fault[] = [...others, ...[...values].map(([shape, by]): Fault => ({ kind: 'value', shape, by }))];
  return all.reduce((s, f) => s + sizeOf(f, sitting.named), 0);
};

export default async function runCritiqueTrial(trial: CritiqueTrial): Promise<CritiqueOutcome> {
  const { seed, scene, camera, megapixels } = trial;
  const sitting = await sittingOf(seed, scene);
  const { faults } = sitting.planned;
  const picture = painted(sitting, faults);
  const shot: Shot = { camera, megapixels, seed };
  const critique = ordered(await measured(sitting, picture, shot));
  const nothing: CritiqueOutcome = {
    ...{ trial, accepted: false, faults: [], fixes: [], first: [], before: 0, after: [] },
    ...{ plantedBefore: planted(sitting, faults), plantedAfter: [] },
  };
  if (!critique) return nothing;
  const { reading, told, steps, cured } = critique;
  const first = steps.map((s) => ({ fix: fixOf(s.told), also: s.cures.map(fixOf) }));
  const canvas = { sitting, picture, faults };
  const twinsPicture = painted(sitting, []);
  const twin = ordered(await measured(sitting, twinsPicture, shot));
  const ofTwin = (twin?.told ?? []).map(fixOf);
  const OF_ALL = ['focus_elsewhere', 'lights_scattered', 'darks_scattered', 'middle_crowded'];
  const isThere = (fix: ToldFix) =>
    faults.some((f) => isAbout(f, fix)) ||
    isOnCanvas(canvas, fix) ||
    (OF_ALL.includes(fix.code) && !ofTwin.some((t) => t.code === fix.code));
  const others = await Promise.all(
    trial.also.map(async (own, k) => {
      const next = ordered(await measured(sitting, picture, { camera: own, megapixels, seed: seed + 50_000 + k }));
      const [step] = next?.steps ?? [];
      const fix = step ? fixOf(step.told) : null;
      const [mine] = first;
      const same = fix && mine ? isSame(fix, mine.fix) : fix === (mine ?? null);
      // A photograph that can't be used says nothing.
      return { camera: own, key: fix?.key ?? null, same: same || next === null };
    }),
  );
  const chosen = steps[0]?.action;
  const fixes = told.filter((t) => t.kind === 'fix');
  const actions = trial.carried
    ? different([...(chosen ? [chosen] : []), ...fixes.flatMap((t) => candidatesFor(t, reading))])
    : [];
  const after: { asks: string; way: string; error: number }[] = [];
  const plantedAfter: number[] = [];
  for (const action of actions) {
    const left = mended(sitting, action);
    plantedAfter.push(planted(sitting, left));
    const error =
      left === faults ? errorOf(reading.result) : errorOf(await measured(sitting, painted(sitting, left), shot));
    after.push({ asks: action.asks, way: action.way.kind, error });
  }
  return {
    ...nothing,
    accepted: true,
    faults: faults.map((fault) => {
      const place = first.findIndex(({ fix, also }) => [fix, ...also].some((f) => isAbout(fault, f)));
      return { kind: fault.kind, size: sizeOf(fault, sitting.named), place: place < 0 ? null : place };
    }),
    fixes: [...steps, ...cured.map((told) => ({ told, removes: null }))]
      .map((s) => ({ ...fixOf(s.told), removes: s.removes }))
      .map((fix) => ({ ...fix, there: isThere(fix) })),
    first: others,
    before: errorOf(reading.result),
    ...{ after, plantedAfter },
  };
}
