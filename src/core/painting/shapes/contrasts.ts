/**
 * How shapes that meet stand out of each other: by lightness, and where colours were asked for by chroma and by hue too. The
 * three are the parts of CIE 1976 colour difference (CIE 15:2004, section 8.2.1): their squares add up to its square.
 */
import { withIds } from '../../geometry/place-ids';
import { boxOfPlaces, shareBox } from '../../raster/box-of-places';
import { forEachTouching } from '../../raster/touching';
import { type ColourPlanes, labOver } from '../colour/colour-planes';
import { type FormPlane, type FormShape, meanOf } from '../form/form-plane';
import type { PaintingResult } from '../result';

export type Contrast = PaintingResult['contrasts'][number];

/** Shapes that touch at fewer places than this meet at a corner. */
const LEAST_BORDER = 8;

interface Meeting {
  readonly first: FormShape;
  readonly second: FormShape;
  /** Places of either that touch the other. */
  readonly border: Int32Array;
}

/** Pairs of shapes, each once, that meet along a border. */
function meeting({ numbers, shapes, ...grid }: FormPlane): Meeting[] {
  const pairs = new Map<string, { first: FormShape; second: FormShape; border: Set<number> }>();
  forEachTouching(grid, (i, j) => {
    if (numbers[i] === numbers[j]) return;
    const [a, b] = [numbers[i] as number, numbers[j] as number];
    const [first, second] = [shapes[Math.min(a, b) - 1], shapes[Math.max(a, b) - 1]];
    if (!first || !second) return;
    const key = `${first.number} ${second.number}`;
    const own = pairs.get(key) ?? { first, second, border: new Set<number>() };
    own.border.add(i).add(j);
    pairs.set(key, own);
  });
  return [...pairs.values()]
    .filter(({ border }) => border.size >= 2 * LEAST_BORDER)
    .map((pair) => ({ ...pair, border: Int32Array.from(pair.border) }));
}

/** Differences of chroma and of hue between the means of some places of one picture and of others. */
function ofColour(colours: ColourPlanes, first: Int32Array, second: Int32Array) {
  const [one, other] = [labOver(colours, first), labOver(colours, second)];
  if (!one || !other) return null;
  const [c1, c2] = [Math.hypot(one[1], one[2]), Math.hypot(other[1], other[2])];
  const apart = Math.hypot(one[1] - other[1], one[2] - other[2]);
  return { chroma: c1 - c2, hue: Math.sqrt(Math.max(0, apart ** 2 - (c1 - c2) ** 2)) };
}

/**
 * Contrasts of named shapes that meet: first less second, as wanted and as painted, of what lies well inside each. What the whole
 * of the painting is off by is taken into account by `onCurve`; `colours` are those of the reference and of the painting.
 */
export function contrastsOf(
  plane: FormPlane,
  onCurve: (target: number) => number,
  colours: { readonly wanted: ColourPlanes; readonly painted: ColourPlanes } | null,
): Contrast[] {
  if (plane.shapes.length < 2) return [];
  const curved = { ...plane, wanted: plane.wanted.map(onCurve) };
  return withIds(
    meeting(plane).flatMap(({ first, second, border }) => {
      const apart = (side: 'wanted' | 'painted') =>
        meanOf(curved, side, first.inside) - meanOf(curved, side, second.inside);
      const lightness = { wanted: apart('wanted'), painted: apart('painted') };
      const around = boxOfPlaces(border, plane.width);
      if (!around || Number.isNaN(lightness.painted)) return [];
      const was = colours && ofColour(colours.wanted, first.inside, second.inside);
      const is = colours && ofColour(colours.painted, first.inside, second.inside);
      return [
        {
          between: [first.name, second.name] as [string, string],
          box: shareBox(around, plane),
          lightness,
          chroma: was && is && { wanted: was.chroma, painted: is.chroma },
          hue: was && is && { wanted: was.hue, painted: is.hue },
        },
      ];
    }),
  );
}
