/** A painting in few tones judged: its tones against a reference where there is one, its masses by what is asked of them. */
import { toneTargets } from '../exercise/key';
import type { Ends } from '../exercise/scale';
import type { TonePlane } from '../tones/compare-tones';
import type { Mass, MassPlane } from '../tones/mass';
import { sharesOf } from '../tones/tones';
import { allottedTones, judgeMasses } from './judge-masses';
import { judgeTones, type Reading, regionsOf } from './judge-tones';
import { withIds } from '../geometry/place-ids';
import type { NotanResult } from './result';

/** What each tone is to be, L*, the lightest first: between the exercise's ends, or down to a painted frame that stands for the dark one. */
export function notanTargets(count: number, ends: Ends, frame: NotanResult['frame'], pushPercent = 0): number[] {
  return toneTargets(count, frame?.isDarkEnd ? { ...ends, dark: frame.lightness } : ends, pushPercent);
}

type JudgedPainting = Pick<
  NotanResult,
  | 'reference'
  | 'tones'
  | 'agreement'
  | 'agreementTolerant'
  | 'agreementAligned'
  | 'kappa'
  | 'shift'
  | 'regions'
  | 'masses'
  | 'pairs'
  | 'overlaps'
>;

export interface PaintingAsked {
  readonly drawn: TonePlane;
  /** On the same grid; null where there is no picture to paint from: then only its masses are asked. */
  readonly reference: TonePlane | null;
  readonly readings: readonly Reading[];
  readonly named: MassPlane | null;
  /** Each tone as painted, the lightest first. */
  readonly tones: readonly Pick<NotanResult['tones'][number], 'lightness' | 'spread'>[];
  /** What each is to be, L*. */
  readonly targets: readonly number[];
}

const NONE: MassPlane = { nameOf: new Uint8Array(0), names: [] };

/** All that can be said of a painting's tones and masses. Throws RangeError where the two planes differ in size. */
export function judgePainting({ drawn, reference, readings, named, tones, targets }: PaintingAsked): JudgedPainting {
  const count = targets.length;
  const masses = named ?? NONE;
  const listed = (shares: readonly number[], wanted: readonly number[] | null) =>
    tones.map(({ lightness, spread }, k) => ({
      index: k + 1,
      share: shares[k] as number,
      referenceShare: wanted ? (wanted[k] as number) : null,
      lightness,
      spread,
    }));
  const asked = { drawn, masses, lightness: tones.map((t) => t.lightness), targets };
  if (reference) {
    const { shares, referenceShares, ...judged } = judgeTones(drawn, reference, count, readings, named);
    const { x, y } = judged.shift ?? { x: 0, y: 0 };
    const shift = { x: Math.round(x * reference.width), y: Math.round(y * reference.height) };
    return {
      reference: 'picture',
      ...judged,
      tones: listed(shares, referenceShares),
      ...judgeMasses({ ...asked, wanted: reference, shift }),
    };
  }
  const shift = { x: 0, y: 0 };
  const nothing = { agreement: null, agreementTolerant: null, agreementAligned: null, kappa: null, shift: null };
  const judged = judgeMasses({ ...asked, wanted: null, shift });
  // Each mass by itself: what two of them have painted alike beside each other is two shapes.
  const regions = allottedTones(drawn, masses, count).flatMap((wanted, k) => {
    const { name, emphasis } = masses.names[k] as Mass;
    const strays = judged.masses.some((m) => m.name === name && m.outside !== null);
    return strays ? regionsOf(drawn, wanted, shift, null).map((region) => ({ ...region, shape: name, emphasis })) : [];
  });
  return {
    reference: masses.names.length > 0 ? 'masses' : 'none',
    ...nothing,
    regions: withIds(regions.toSorted((a, b) => b.area - a.area)),
    tones: listed(sharesOf(drawn.toneOf, count), null),
    ...judged,
  };
}
