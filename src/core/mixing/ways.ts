/** Several ways to one value, and several ways to a dark: what each does to chroma and hue. */
import { linearRgbToLab } from '../colour/lab';
import { hueTurn } from '../colour/oklab';
import type { Triple } from '../colour/srgb';
import { warmth } from '../colour/temperature';
import { type PaintId, PAINTS } from '../exercise/paints';
import { coveringLab, coveringRgb, mixModel, type PaintModel, type Palette, type Parts } from './paint-model';
import { blend, shareFor } from './reach';
import type { SurfaceId } from './surface';

export interface Way {
  readonly by: PaintId;
  readonly role: 'white' | 'lighter-neighbour' | 'complement' | 'nearest-complement' | 'black' | 'earth';
  /** Of what is nearest to a complement and greys it not: the colour that the mix has at this lightness. */
  readonly still: string | null;
  /** Share of the second paint, 0 to 1. */
  readonly share: number;
  readonly lab: Triple;
  readonly chroma: number;
  /** Degrees from the colour it starts at; null where one of them is grey. */
  readonly hueTurn: number | null;
  readonly reachable: boolean;
}

const chromaOf = ([, a, b]: Triple): number => Math.hypot(a, b);
const hueOf = ([, a, b]: Triple): number => (Math.atan2(b, a) * 180) / Math.PI;
const between = (a: number, b: number): number => Math.abs(((a - b + 540) % 360) - 180);

/** Hues this far apart (degrees) are neighbours, and from that far on one may grey the other. */
const NEIGHBOUR = 70;
const OPPOSITE = 130;
/**
 * Two paints grey each other where some mix of them has no more colour than this for its lightness (chroma over L*: a
 * dark grey shows less of the same chroma), and the more colourful one has turned no further than so many degrees when
 * half of its chroma is gone: past that the mix is another colour, as yellow and blue make green.
 */
const GREYED = 0.35;
const TURNED = 30;
/** Less chroma than this is no colour that could be greyed. */
const COLOURED = 10;

/** What a colour is called by its hue in a*b*, from each angle (degrees) on. */
const HUE_NAMES: readonly (readonly [from: number, name: string])[] = [
  [0, 'red'],
  [45, 'orange'],
  [75, 'yellow'],
  [105, 'green'],
  [200, 'blue'],
  [290, 'violet'],
  [345, 'red'],
];
function hueName(lab: Triple): string {
  const hue = (hueOf(lab) + 360) % 360;
  return HUE_NAMES.findLast(([from]) => hue >= from)?.[1] ?? 'red';
}

/** Whether two paints grey each other. */
function greyEachOther(a: PaintModel, b: PaintModel, surface: SurfaceId): boolean {
  const mixes = Array.from({ length: 41 }, (_, k) => linearRgbToLab(coveringRgb(blend(a, b, k / 40), surface)));
  const [first, last] = [mixes[0] as Triple, mixes[40] as Triple];
  const ordered = chromaOf(first) >= chromaOf(last) ? mixes : [...mixes].reverse();
  const strong = ordered[0] as Triple;
  const half = ordered.find((lab) => chromaOf(lab) <= chromaOf(strong) / 2);
  const turned = half ? between(hueOf(half), hueOf(strong)) : 0;
  return turned <= TURNED && mixes.some((lab) => chromaOf(lab) <= GREYED * lab[0]);
}

function roleOf(paint: PaintId, lab: Triple, start: Triple): Way['role'] | null {
  const { family } = PAINTS[paint];
  if (family === 'white' || family === 'black') return family;
  const apart = between(hueOf(lab), hueOf(start));
  if (apart >= OPPOSITE && Math.min(chromaOf(lab), chromaOf(start)) >= COLOURED) return 'complement';
  if (apart <= NEIGHBOUR && lab[0] > start[0] + 5) return 'lighter-neighbour';
  return family === 'earth' ? 'earth' : null;
}

/** Ways from a paint to a lightness with one other paint of the palette, those that reach it first, the most colour kept first. */
export function waysTo(palette: Palette, start: PaintId, lightness: number, surface: SurfaceId): Way[] {
  const from = palette.get(start);
  if (!from) throw new RangeError(`${PAINTS[start].name} is not on this palette.`);
  const [startRgb, startLab] = [coveringRgb(from, surface), coveringLab(from, surface)];
  const ways = [...palette].flatMap(([paint, model]): Way[] => {
    const role = paint === start ? null : roleOf(paint, coveringLab(model, surface), startLab);
    if (!role) return [];
    const { share, reachable } = shareFor(from, model, lightness, surface);
    const rgb = coveringRgb(blend(from, model, share), surface);
    const lab = linearRgbToLab(rgb);
    const still = role === 'complement' && !greyEachOther(from, model, surface) ? hueName(lab) : null;
    const told = still === null ? role : 'nearest-complement';
    const way = { by: paint, role: told, still, share, lab, chroma: chromaOf(lab) } as const;
    return [{ ...way, hueTurn: hueTurn(startRgb, rgb), reachable }];
  });
  return ways.sort((a, b) => Number(b.reachable) - Number(a.reachable) || b.chroma - a.chroma);
}

export interface Dark {
  readonly name: string;
  readonly school: 'tube' | 'complements' | 'earths';
  readonly parts: Parts;
  readonly lab: Triple;
  /** Of a middle grey made with it and white: how much warmer than one of black and white, b*-like units. */
  readonly warmth: number | null;
}

/** Pairs that painters make their darks from. */
const PAIRS: readonly (readonly [PaintId, PaintId, Dark['school']])[] = [
  ['ultramarine', 'burnt-umber', 'earths'],
  ['ultramarine', 'burnt-sienna', 'earths'],
  ['phthalo-blue', 'burnt-umber', 'earths'],
  ['phthalo-green', 'rose-madder-hue', 'complements'],
  ['viridian', 'rose-madder-hue', 'complements'],
  ['phthalo-green', 'cadmium-red', 'complements'],
  ['ultramarine', 'venetian-red', 'earths'],
];

const grey = (palette: Palette, white: PaintId, dark: Parts, surface: SurfaceId): Triple => {
  const [light, deep] = [mixModel(palette, { [white]: 1 }), mixModel(palette, dark)];
  return coveringLab(blend(light, deep, shareFor(light, deep, 55, surface).share), surface);
};

/** How many parts of each of a pair make the dark whose greys have least colour (its own, where there is no white), in whole parts up to 8. */
function neutralPair(
  palette: Palette,
  a: PaintId,
  b: PaintId,
  white: PaintId | undefined,
  surface: SurfaceId,
): { parts: Parts; lab: Triple } {
  let best: { parts: Parts; lab: Triple } | null = null;
  let least = Infinity;
  for (let p = 1; p <= 8; p++)
    for (let q = 1; q <= 8; q++) {
      const parts = { [a]: p, [b]: q };
      const lab = coveringLab(mixModel(palette, parts), surface);
      const colour = chromaOf(white ? grey(palette, white, parts, surface) : lab) + 0.05 * (p + q);
      if (colour < least) [best, least] = [{ parts, lab }, colour];
    }
  return best as { parts: Parts; lab: Triple };
}

/** The darks that the palette offers, darkest first; the drift of each is told beside a grey of the first black. */
export function darksOf(palette: Palette, surface: SurfaceId): Dark[] {
  const ids = [...palette.keys()];
  const white = ids.find((id) => PAINTS[id].family === 'white');
  const black = ids.find((id) => PAINTS[id].family === 'black');
  const plain = white && black ? grey(palette, white, { [black]: 1 }, surface) : null;
  const drift = (parts: Parts) => (white && plain ? warmth(grey(palette, white, parts, surface), plain) : null);
  const tubes = ids
    .filter((id) => PAINTS[id].family === 'black')
    .map((id): Dark => ({
      name: PAINTS[id].name,
      school: 'tube',
      parts: { [id]: 1 },
      lab: coveringLab(mixModel(palette, { [id]: 1 }), surface),
      warmth: drift({ [id]: 1 }),
    }));
  const mixed = PAIRS.filter(([a, b]) => palette.has(a) && palette.has(b)).map(([a, b, school]): Dark => {
    const { parts, lab } = neutralPair(palette, a, b, white, surface);
    return { name: `${PAINTS[a].name} and ${PAINTS[b].name}`, school, parts, lab, warmth: drift(parts) };
  });
  return [...tubes, ...mixed].sort((a, b) => a.lab[0] - b.lab[0]);
}
