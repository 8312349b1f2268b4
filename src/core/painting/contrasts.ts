/**
 * How shapes that meet stand out of each other: by lightness, and where colours were asked for by chroma and by hue too. The
 * three are the parts of CIE 1976 colour difference (CIE 15:2004, section 8.2.1): their squares add up to its square.
 */
import { withIds } from '../geometry/place-ids';
import { boxOfPlaces, shareBox } from '../raster/box-of-places';
import { type ColourPlanes, labOver } from './colour-planes';
import { alongBorder, type FormPlane, type FormShape, meanOf } from './form/form-plane';
import type { PaintingResult } from './result';

export type Contrast = PaintingResult['contrasts'][number];

/** Pairs of shapes, each once, that have neighbouring places. */
function meeting({ width, height, numbers, shapes }: FormPlane): (readonly [FormShape, FormShape])[] {
  const pairs = new Map<string, readonly [FormShape, FormShape]>();
  const meet = (i: number, j: number) => {
    const [low, high] = [
      Math.min(numbers[i] as number, numbers[j] as number),
      Math.max(numbers[i] as number, numbers[j] as number),
    ];
    if (low === high || low === 0) return;
    const [first, second] = [shapes[low - 1], shapes[high - 1]];
    if (first && second) pairs.set(`${low} ${high}`, [first, second]);
  };
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const i = y * width + x;
      if (x + 1 < width && numbers[i] !== numbers[i + 1]) meet(i, i + 1);
      if (y + 1 < height && numbers[i] !== numbers[i + width]) meet(i, i + width);
    }
  return [...pairs.values()];
}

/** Differences of chroma and of hue between two places of one picture. */
function ofColour(colours: ColourPlanes, first: Int32Array, second: Int32Array) {
  const [one, other] = [labOver(colours, first), labOver(colours, second)];
  if (!one || !other) return null;
  const [c1, c2] = [Math.hypot(one[1], one[2]), Math.hypot(other[1], other[2])];
  const apart = Math.hypot(one[1] - other[1], one[2] - other[2]);
  return { chroma: c1 - c2, hue: Math.sqrt(Math.max(0, apart ** 2 - (c1 - c2) ** 2)) };
}

/**
 * Contrasts of named shapes that meet, near their border and not on it: first less second, as wanted and as painted. What the
 * whole of the painting is off by is taken into account by `onCurve`; `colours` are those of the reference and of the painting.
 */
export function contrastsOf(
  plane: FormPlane,
  onCurve: (target: number) => number,
  colours: { readonly wanted: ColourPlanes; readonly painted: ColourPlanes } | null,
): Contrast[] {
  const wantedAt = { ...plane, wanted: plane.wanted.map(onCurve) };
  return withIds(
    meeting(plane).flatMap(([first, second]) => {
      const border = alongBorder(plane, first.places, second.places);
      if (!border) return [];
      const between = (side: 'wanted' | 'painted') =>
        meanOf(wantedAt, side, border.first) - meanOf(wantedAt, side, border.second);
      const around = boxOfPlaces(border.between, plane.width);
      const lightness = { wanted: between('wanted'), painted: between('painted') };
      if (!around || Number.isNaN(lightness.painted)) return [];
      const was = colours && ofColour(colours.wanted, border.first, border.second);
      const is = colours && ofColour(colours.painted, border.first, border.second);
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
