/** A painting's tones judged against a reference's: all that can be said without the photograph, and again when a reading is accepted. */
import { withIds } from '../geometry/place-ids';
import { outlineOf } from '../raster/outline';
import { flippedShapes, type FlippedShapes, type Shift, toneAgreement, type TonePlane } from '../tones/compare-tones';
import type { Mass, MassPlane } from '../tones/mass';
import { sharesOf } from '../tones/tones';
import { withAllotted } from './judge-masses';
import type { NotanResult } from './result';

/** Places that may be of another tone than the reference has them: an edge lost on purpose. */
export interface Reading {
  /** 1 where it holds, on the reference's grid. */
  readonly places: Uint8Array;
  readonly tone: number;
}

/** The reference as it counts for this painting: where a reading holds and was painted so, it is what was wanted. */
export function withReadings(
  drawn: TonePlane,
  wanted: TonePlane,
  { x: sx, y: sy }: Shift,
  readings: readonly Reading[],
): TonePlane {
  if (readings.length === 0) return wanted;
  const { width, height } = wanted;
  const toneOf = Uint8Array.from(wanted.toneOf);
  for (const { places, tone } of readings)
    for (let i = 0; i < toneOf.length; i++) {
      if (places[i] !== 1) continue;
      const [u, v] = [(i % width) + sx, Math.floor(i / width) + sy];
      if (u >= 0 && v >= 0 && u < width && v < height && drawn.toneOf[v * width + u] === tone) toneOf[i] = tone;
    }
  return { width, height, toneOf };
}

/** The reference as it counts for a painting: with what its masses are allotted, and readings that were accepted. */
export function asItCounts(
  drawn: TonePlane,
  reference: TonePlane,
  shift: Shift,
  count: number,
  readings: readonly Reading[],
  named: MassPlane | null,
): TonePlane {
  return withReadings(drawn, named ? withAllotted(drawn, reference, shift, named, count) : reference, shift, readings);
}

/** For each region the named shape that most of it lies in, where that is at least half of it. */
function namesFor({ regions, regionOf }: FlippedShapes, { nameOf, names }: MassPlane): (Mass | null)[] {
  const counts = regions.map(() => new Float64Array(names.length + 1));
  regionOf.forEach((r, i) => {
    const own = counts[r - 1];
    const name = nameOf[i] as number;
    if (own) own[name] = (own[name] as number) + 1;
  });
  return counts.map((own) => {
    const all = own.reduce((s, n) => s + n, 0);
    const best = own.indexOf(Math.max(...own));
    return best > 0 && (own[best] as number) >= all / 2 ? (names[best - 1] ?? null) : null;
  });
}

/** Flipped regions with their outlines, and the names of the masses that they lie in. */
export function regionsOf(
  drawn: TonePlane,
  wanted: TonePlane,
  shift: Shift,
  named: MassPlane | null,
): Omit<NotanResult['regions'][number], 'id'>[] {
  const flipped = flippedShapes(drawn, wanted, shift);
  const names = named && namesFor(flipped, named);
  return flipped.regions.map((region, k) => {
    const own = names?.[k];
    return {
      ...region,
      outline: outlineOf((i) => flipped.regionOf[i] === k + 1, region.box, wanted),
      ...(own && { shape: own.name, emphasis: own.emphasis }),
    };
  });
}

export interface Judged extends Pick<
  NotanResult,
  'agreement' | 'agreementTolerant' | 'agreementAligned' | 'kappa' | 'shift' | 'regions'
> {
  readonly shares: readonly number[];
  readonly referenceShares: readonly number[];
}

/**
 * Judges a painting against its reference as it counts: readings that were accepted, and steps that masses are allotted, are
 * right too. Throws RangeError where the two planes differ in size.
 */
export function judgeTones(
  drawn: TonePlane,
  reference: TonePlane,
  count: number,
  readings: readonly Reading[] = [],
  named: MassPlane | null = null,
): Judged {
  const plain = toneAgreement(drawn, reference, count);
  const { shift } = plain;
  const wanted = asItCounts(drawn, reference, shift, count, readings, named);
  const agreement = wanted === reference ? plain : toneAgreement(drawn, wanted, count);
  return {
    agreement: agreement.agreement,
    agreementTolerant: agreement.agreementTolerant,
    agreementAligned: agreement.agreementAligned,
    kappa: agreement.kappa,
    shift: { x: shift.x / reference.width, y: shift.y / reference.height },
    regions: withIds(regionsOf(drawn, wanted, shift, named)),
    // What is left open in the reference has no tone, in the painting as little.
    shares: sharesOf(
      drawn.toneOf.filter((_, i) => reference.toneOf[i] !== 0),
      count,
    ),
    referenceShares: sharesOf(
      wanted.toneOf.filter((t) => t !== 0),
      count,
    ),
  };
}
