/**
 * What to do first: every action is tried out on what was measured, and the one that takes away most of what is amiss, for as
 * much as has to be painted over, comes first; then the next one on what is left, until all that was told is taken care of.
 */
import type { Told } from '../../rule';
import type { PaintingFacts, PaintingReading } from '../facts';
import type { Action } from './action';
import { candidatesFor } from './candidates';
import { carriedOut } from './carry-out';

type ToldHere = Told<PaintingFacts>;

/** All that is told of a reading, however much that is. */
export type TellAll = (reading: PaintingReading) => readonly ToldHere[];

/** Painting the whole picture over is worth taking away as much as this, in what findings weigh. */
const PRICE = 0.05;
/**
 * What is worth this share of the best is as good: two photographs of one painting differ by as much. Of these the largest place
 * comes first, as painters go, and since it is the largest on each of them.
 */
const AS_GOOD = 0.92;
/** What the eye makes of all of it follows from the rest: it is no reason to do one thing before another. */
const FOLLOWS: readonly ToldHere['code'][] = ['focus_elsewhere', 'lights_scattered', 'darks_scattered'];
/** What an action may bring about. All else that is told after it and was not before was only hidden by what it mends. */
const MAY_ARISE: readonly ToldHere['code'][] = ['part_off', 'contrast_off'];

export interface Step {
  readonly told: ToldHere;
  /** What was chosen for it. */
  readonly action: Action;
  /** How much of all that is amiss it takes away, in what findings weigh. */
  readonly removes: number;
  /** What else it cures, that is told no more once it is done. */
  readonly cures: readonly ToldHere[];
}

export interface Ordered {
  readonly steps: readonly Step[];
  /** What is told, and cured by a step before its turn comes; heaviest first. */
  readonly cured: readonly ToldHere[];
}

/** A painting on its way to being mended. */
interface State {
  readonly reading: PaintingReading;
  /** Keys of what was taken care of though nothing that was measured shows it. */
  readonly done: ReadonlySet<string>;
}

const fixesIn = (tellAll: TellAll, { reading, done }: State): ToldHere[] =>
  tellAll(reading).filter((t) => t.kind === 'fix' && !done.has(t.key));
const strengthsIn = (tellAll: TellAll, { reading }: State): string[] =>
  tellAll(reading).flatMap((t) => (t.kind === 'works' ? [t.key] : []));
const weightOf = (told: readonly ToldHere[]): number => told.reduce((s, t) => s + t.weight, 0);

/** All that is amiss with a painting, in what its findings weigh. */
export const totalError = (tellAll: TellAll, reading: PaintingReading): number =>
  weightOf(fixesIn(tellAll, { reading, done: new Set() }));

/** A painting after an action; what that was asked for is then taken care of. */
const after = ({ reading, done }: State, { asks, way }: Action): State => ({
  reading: carriedOut(reading, way),
  done: way.kind === 'only' ? new Set([...done, asks]) : done,
});

interface Tried {
  readonly action: Action;
  readonly state: State;
  readonly removes: number;
  readonly left: readonly ToldHere[];
}

/** What is amiss, in what orders one thing before another. */
const urgency = (told: readonly ToldHere[]): number => weightOf(told.filter((t) => !FOLLOWS.includes(t.code)));

/** The action that takes away most for what it costs; one that would break what works is left out where there is another. */
function best(tellAll: TellAll, state: State, actions: readonly Action[]): Tried | null {
  const now = fixesIn(tellAll, state);
  const known = new Set(now.map((t) => t.key));
  const strengths = strengthsIn(tellAll, state);
  const tried = actions.map((action): Tried & { readonly breaks: boolean } => {
    const own = after(state, action);
    const left = fixesIn(tellAll, own).filter((t) => known.has(t.key) || MAY_ARISE.includes(t.code));
    const kept = strengthsIn(tellAll, own);
    const breaks = strengths.some((key) => !kept.includes(key));
    return { action, state: own, left, removes: urgency(now) - urgency(left), breaks };
  });
  const sound = tried.filter((t) => !t.breaks);
  const worth = ({ removes, action }: Tried) => removes - PRICE * action.area;
  const choice = sound.length > 0 ? sound : tried;
  const most = Math.max(...choice.map(worth));
  const good = choice.filter((t) => worth(t) >= Math.min(most, AS_GOOD * most));
  // Of several ways to mend one thing, the one with the least to paint over.
  const cheapest = new Map<string, Tried>();
  for (const t of good) {
    const other = cheapest.get(t.action.asks);
    if (!other || t.action.area < other.action.area) cheapest.set(t.action.asks, t);
  }
  return [...cheapest.values()].reduce<Tried | null>(
    (large, t) => (large === null || t.action.area > large.action.area ? t : large),
    null,
  );
}

/** Puts what is told in the order in which it is best mended. */
export function inOrder(tellAll: TellAll, reading: PaintingReading, told: readonly ToldHere[]): Ordered {
  let state: State = { reading, done: new Set() };
  let left = told.filter((t) => t.kind === 'fix');
  const steps: Step[] = [];
  const cured: ToldHere[] = [];
  while (left.length > 0) {
    const now = fixesIn(tellAll, state);
    const waiting = new Set(left.map((t) => t.key));
    const found = best(
      tellAll,
      state,
      now.filter((t) => waiting.has(t.key)).flatMap((t) => candidatesFor(t, state.reading)),
    );
    const own = left.find((t) => t.key === found?.action.asks);
    if (!found || !own) break;
    const stays = new Set(found.left.map((t) => t.key));
    const cures = left.filter((t) => t !== own && !stays.has(t.key));
    steps.push({ told: own, action: found.action, removes: found.removes, cures });
    cured.push(...cures);
    left = left.filter((t) => t !== own && stays.has(t.key));
    // What it was asked for is taken care of, even where some of it would still be told.
    state = { ...found.state, done: new Set([...found.state.done, own.key]) };
  }
  return { steps, cured: [...cured, ...left].sort((a, b) => b.weight - a.weight) };
}
