/**
 * How a painting's colours are off: first all of them (too yellow as a whole, duller as a whole), then shapes by what that
 * leaves of them, then where the strongest colour sits. Values are judged apart: nothing here looks at L*.
 */
import type { Triple } from '../../colour/srgb';
import { withIds } from '../../geometry/place-ids';
import type { ShareBox } from '../../geometry/share-box';
import type { Plane } from '../../raster/between';
import { boxOfPlaces, shareBox } from '../../raster/box-of-places';
import { depthsOf, placesOfNumbers } from '../../raster/zone';
import { type ColourPlanes, coloursFilledFrom, labAt, labOver, labPlanes, softColours } from './colour-planes';
import type { FormShape } from '../form/form-plane';
import { insideOf } from '../shapes/named-shapes';
import type { PaintingResult } from '../result';
import { segments } from '../values/segments';
import { shadowWarmths } from './shadow-warmth';

export type ColourPass = NonNullable<PaintingResult['colour']>;
type Hue = readonly [a: number, b: number];

/** A part of the picture that is judged by its colour: a named shape, or what is of one colour. */
interface Zone {
  readonly shape: string | null;
  readonly places: Int32Array;
  readonly inside: Int32Array;
}

interface ReadZone extends Zone {
  readonly wanted: Hue;
  readonly painted: Hue;
  readonly area: number;
}

/** Smaller parts (share of the picture) have no colour of their own, seen from where one paints. */
const LEAST_AREA = 0.004;
/** L* (and a*, b*) times places by which small parts may differ more. */
const SCALE = 60;
/** Thinner ones (places from the middle to the edge) are outlines that stray, no shapes. */
const LEAST_DEPTH = 2;
/** Parts (share of the picture) by which the picture is squinted at before its strongest colour is looked for. */
const SQUINT = 0.02;
/** A colour weaker than this is none that the eye goes to. */
const STRONG = 14;
/** The eye goes elsewhere where the painting has less than this of its own strongest colour at the place that was meant. */
const WEAKER = 0.8;
/** Strength of the whole is told only where the reference's own colours differ so much (their root mean square). */
const SPREAD = 5;
/** And where they hardly differ it is taken to be as it should: this much is added to what speaks for that. */
const PRIOR = 2 ** 2;
const [ROUNDS, SOFT] = [12, 4] as const;

const length = ([a, b]: Hue): number => Math.hypot(a, b);

const zone = (places: Int32Array, grid: Plane): Zone => ({ shape: null, places, inside: insideOf(places, grid) });

/** Planes of one size cut into zones. */
function zonesOf(planes: readonly Plane[], grid: Plane): Zone[] {
  const cut = segments({
    planes: planes.map((plane) => ({ plane, weight: 1 })),
    scale: SCALE,
    least: Math.round(LEAST_AREA * grid.data.length),
  });
  return placesOfNumbers(cut.partOf, 0, cut.count).map((places) => zone(places, grid));
}

/** Parts that have no name: what is off alike once what all of it is off by is taken away. */
function unnamedZones(wanted: ColourPlanes, painted: ColourPlanes): Zone[] {
  const filled = coloursFilledFrom(painted, wanted);
  const [was, is] = [labPlanes(wanted), labPlanes(filled)];
  const { strength, cast } = wholeOf(readZones(zonesOf([...was, ...is], wanted[0]), wanted, painted));
  const residual = ([1, 2] as const).map((k) => ({
    ...was[k],
    data: is[k].data.map((v, i) => v - strength * (was[k].data[i] as number) - (k === 1 ? cast[0] : cast[1])),
  }));
  return zonesOf(residual, wanted[0]);
}

function readZones(zones: readonly Zone[], wanted: ColourPlanes, painted: ColourPlanes): ReadZone[] {
  const all = wanted[0].data.length;
  return zones.flatMap((zone) => {
    const [was, is] = [labOver(wanted, zone.inside), labOver(painted, zone.inside)];
    const area = zone.places.length / all;
    const hueOf = (lab: Triple): Hue => [lab[1], lab[2]];
    return was && is && area >= LEAST_AREA ? [{ ...zone, wanted: hueOf(was), painted: hueOf(is), area }] : [];
  });
}

interface WholeColour {
  readonly strength: number;
  /** Root mean square of the differences of the reference's own colours: where it is small nothing is known of strength. */
  readonly spread: number;
  readonly cast: Hue;
}

/** Weighted means of a*, b*, and how much of one is in the other, with what is far from it counting less and less. */
function wholeOf(zones: readonly ReadZone[]): WholeColour {
  let [strength, cast]: [number, Hue] = [1, [0, 0]];
  const mean = (of: (z: ReadZone) => number, weights: readonly number[]) =>
    zones.reduce((s, z, k) => s + (weights[k] as number) * of(z), 0) / weights.reduce((s, w) => s + w, 0);
  let spread = 0;
  for (let round = 0; round < ROUNDS; round++) {
    const weights = zones.map((z) => Math.sqrt(z.area) / Math.max(SOFT, length(left(z, strength, cast))));
    const was: Hue = [mean((z) => z.wanted[0], weights), mean((z) => z.wanted[1], weights)];
    const is: Hue = [mean((z) => z.painted[0], weights), mean((z) => z.painted[1], weights)];
    const about = (z: ReadZone, at: (z: ReadZone) => Hue, middle: Hue): Hue => [
      at(z)[0] - middle[0],
      at(z)[1] - middle[1],
    ];
    const wide = mean((z) => length(about(z, (o) => o.wanted, was)) ** 2, weights);
    const shared = mean((z) => {
      const [p, q] = [about(z, (o) => o.wanted, was), about(z, (o) => o.painted, is)];
      return p[0] * q[0] + p[1] * q[1];
    }, weights);
    spread = Math.sqrt(wide);
    strength = (shared + PRIOR) / (wide + PRIOR);
    cast = [is[0] - strength * was[0], is[1] - strength * was[1]];
  }
  return { strength, spread, cast };
}

/** What the whole leaves of a part's error. */
const left = ({ wanted, painted }: Pick<ReadZone, 'wanted' | 'painted'>, strength: number, [a, b]: Hue): Hue => [
  painted[0] - strength * wanted[0] - a,
  painted[1] - strength * wanted[1] - b,
];

/** Where colour is strongest, and how strong it is there. */
function strongestOf(planes: ColourPlanes): { readonly at: number; readonly chroma: Float32Array } {
  const { data } = planes[0];
  const chroma = Float32Array.from(data, (_, i) => {
    const [, a, b] = labAt(planes, i);
    return Math.hypot(a, b);
  });
  return { at: chroma.indexOf(chroma.reduce((m, c) => Math.max(m, c), 0)), chroma };
}

function boxAt(i: number, { width, height }: Plane): ShareBox {
  const [wide, tall] = [2 * SQUINT, (2 * SQUINT * width) / height];
  const [x, y] = [((i % width) + 0.5) / width, (Math.floor(i / width) + 0.5) / height];
  const within = (v: number, size: number) => Math.min(1 - size, Math.max(0, v - size / 2));
  return { x: within(x, wide), y: within(y, tall), width: wide, height: tall };
}

/** Null where the reference has no strong colour, and where the painting's strongest sits where it should. */
function strongestElsewhere(wanted: ColourPlanes, painted: ColourPlanes): ColourPass['strongest'] {
  const sigma = SQUINT * wanted[0].width;
  const was = strongestOf(softColours(wanted, sigma));
  const is = strongestOf(softColours(coloursFilledFrom(painted, wanted), sigma));
  const most = is.chroma[is.at] as number;
  if ((was.chroma[was.at] as number) < STRONG || most < STRONG || (is.chroma[was.at] as number) >= WEAKER * most)
    return null;
  return { painted: boxAt(is.at, wanted[0]), wanted: boxAt(was.at, wanted[0]) };
}

/**
 * Colours of a painting against those of its reference, both on the same places (painted NaN where it does not reach). Shapes
 * that have names are judged as they are, and of what has none parts that are off alike. Null where no part is large enough.
 */
export function colourPass(
  wanted: ColourPlanes,
  painted: ColourPlanes,
  { named, numbers }: { readonly named: readonly FormShape[]; readonly numbers: Uint8Array },
): ColourPass | null {
  const [grid] = wanted;
  const others = unnamedZones(wanted, painted)
    .map(({ places }) => places.filter((i) => numbers[i] === 0))
    .filter((places) => depthsOf(places, grid).some((d) => d >= LEAST_DEPTH))
    .map((places) => zone(places, grid));
  const zones = [...named.map((n) => ({ ...n, shape: n.name })), ...others];
  const read = readZones(zones, wanted, painted);
  if (read.length === 0) return null;
  const { strength, spread, cast } = wholeOf(read);
  const parts = read.map((zone) => {
    const [a, b] = left(zone, strength, cast);
    const whole: Hue = [zone.painted[0] - a, zone.painted[1] - b];
    return {
      shape: zone.shape,
      box: shareBox(boxOfPlaces(zone.places, wanted[0].width) ?? [0, 0, 1, 1], wanted[0]),
      area: zone.area,
      a: zone.painted[0],
      b: zone.painted[1],
      wantedA: zone.wanted[0],
      wantedB: zone.wanted[1],
      residualA: a,
      residualB: b,
      residualChroma: length(zone.painted) - length(whole),
    };
  });
  return {
    strength: spread < SPREAD ? null : strength,
    cast: { a: cast[0], b: cast[1] },
    parts: withIds(parts),
    strongest: strongestElsewhere(wanted, painted),
    warmths: shadowWarmths(named, wanted, painted),
  };
}
