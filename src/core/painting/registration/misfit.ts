/** Whether a painting can be of its reference at all: compared roughly, as it is, mirrored, turned, and as a part of it. */
import { type CaptureIssue, GATE, issue } from '../../capture/gate';
import { quantiles } from '../../fitting/quantile';
import { type Plane } from '../../raster/between';
import { type Affine, AS_IT_IS } from './affine';
import { type AlignedWhole, likeness, roughContrast, roughMap, type SizedReference } from './align-whole';
import { outlinesAlike, outlinesOf } from './outlines-alike';

/** A part of the reference that fills the painting: how much of its width and height that is. */
const PARTS = [1, 0.8, 0.65, 0.5] as const;
/** Where such a part begins, in steps over what is left of the reference. */
const PLACES = 5;
/** So many of the best are looked at more closely. */
const STARTS = 6;
/** So unlike its reference a painting has to be before it is looked for elsewhere in it. */
const ASKS = 0.75;
/** What is told to be mirrored, turned or a part has outlines as much alike that way; a likeness of light and dark may be chance. */
const OUTLINED = 0.45;

/** A plane seen in a mirror, or standing on its head. */
function turned({ width, height, data }: Plane, how: 'mirrored' | 'upside_down'): Plane {
  return {
    width,
    height,
    data: Float32Array.from(data, (_, i) => {
      const [x, y] = [i % width, Math.floor(i / width)];
      return how === 'mirrored'
        ? (data[y * width + width - 1 - x] as number)
        : (data[(height - 1 - y) * width + width - 1 - x] as number);
    }),
  };
}

/** Parts of the reference that are looked at more closely, the best of all, and how: a share of its size to every side. */
const CLOSER = [0.06, 0.03, 0.015] as const;

interface Part {
  readonly like: number;
  readonly box: NonNullable<CaptureIssue['box']>;
}

/** How much a part of the reference is like the whole painting. */
function partLike(reference: Plane, painting: Plane, box: Part['box']): Part {
  return { like: likeness(reference, painting, filledBy(box, reference)), box };
}

/** The map under which a part of the reference fills the painting. */
function filledBy({ x, y, width, height }: Part['box'], reference: Plane): Affine {
  const tall = reference.height / reference.width;
  const [cx, cy] = [x + width / 2 - 0.5, (y + height / 2 - 0.5) * tall];
  return [1 / width, 0, -cx / width, 0, 1 / height, -cy / height];
}

/** Parts a little larger, smaller, or beside a part; none reaches past the reference. */
function beside({ x, y, width, height }: Part['box'], by: number): Part['box'][] {
  const sides = [-by, 0, by];
  return sides.flatMap((wider) =>
    sides.flatMap((right) =>
      sides.map((down) => {
        const [w, h] = [Math.min(1, width + wider), Math.min(1, height + wider)];
        return {
          x: Math.min(1 - w, Math.max(0, x + right)),
          y: Math.min(1 - h, Math.max(0, y + down)),
          width: w,
          height: h,
        };
      }),
    ),
  );
}

/** The part of the reference that is most like the whole painting, and how much so. */
function bestPart(reference: Plane, painting: Plane): Part {
  const parts: Part[] = [];
  for (const width of PARTS)
    for (const height of PARTS) {
      if (width === 1 && height === 1) continue;
      for (let row = 0; row < PLACES; row++)
        for (let column = 0; column < PLACES; column++) {
          if ((width === 1 && column > 0) || (height === 1 && row > 0)) continue;
          const [x, y] = [((1 - width) * column) / (PLACES - 1), ((1 - height) * row) / (PLACES - 1)];
          parts.push(partLike(reference, painting, { x, y, width, height }));
        }
    }
  const better = (a: Part, b: Part) => (b.like > a.like ? b : a);
  return parts
    .sort((a, b) => b.like - a.like)
    .slice(0, STARTS)
    .map((start) =>
      CLOSER.reduce(
        (best, by) =>
          beside(best.box, by)
            .map((box) => partLike(reference, painting, box))
            .reduce(better, best),
        start,
      ),
    )
    .reduce(better);
}

/** Refuses what is one flat grey, or bare ground everywhere; `lightness` as it was read, before it was placed between any ends. */
export function unpaintedIssue(lightness: Float32Array): CaptureIssue | null {
  const [dark, light] = quantiles(lightness, [0.02, 0.98]);
  const spread = light - dark;
  return spread >= GATE.unpainted.limit
    ? null
    : issue(
        'unpainted',
        spread,
        'There is hardly anything to compare yet: all of it is one grey. Paint light and dark first, then photograph it again.',
      );
}

/** Another way in which a painting could be of its reference. */
interface Otherwise {
  readonly like: number;
  /** The reference as it would be seen then, and how it lies on the painting. */
  readonly seen: Plane;
  readonly map: Affine;
  readonly told: (by: number) => CaptureIssue;
}

function otherwise({ rough, small }: SizedReference, contrast: Plane): readonly [Otherwise, ...Otherwise[]] {
  const [mirrored, head] = (['mirrored', 'upside_down'] as const).map((how) => ({
    ...roughMap(turned(rough, how), contrast),
    seen: turned(small, how),
  })) as [AlignedWhole & { seen: Plane }, AlignedWhole & { seen: Plane }];
  const part = bestPart(rough, contrast);
  return [
    {
      like: mirrored.likeness,
      ...mirrored,
      told: (by) =>
        issue(
          'mirrored',
          by,
          'The painting is the other way round than its picture: turn mirroring off in the camera, or choose the picture it was painted from.',
        ),
    },
    {
      like: head.likeness,
      ...head,
      told: (by) =>
        issue('upside_down', by, 'The painting stands on its head: turn the photograph round and send it again.'),
    },
    {
      like: part.like,
      seen: small,
      map: filledBy(part.box, small),
      told: (by) =>
        issue(
          'cropped',
          by,
          'Only a part of the picture seems to be painted: photograph all of the painting, or frame the picture as it was painted.',
          part.box,
        ),
    },
  ];
}

/**
 * Why a painting (L* of its reference's proportion) can't be of its reference, or of all of it; null where it is. Light and
 * dark say which way it was painted, and outlines whether it is that picture at all: a dark thing that was painted light is a
 * mistake in the right picture.
 */
export function misfitOf(
  reference: SizedReference,
  painting: Plane,
  { map, likeness: own }: AlignedWhole,
): CaptureIssue | null {
  if (own >= ASKS) return null;
  const outlines = outlinesOf(painting);
  const likeliest = otherwise(reference, roughContrast(painting)).reduce((a, b) => (b.like > a.like ? b : a));
  const by = likeliest.like - own;
  if (by > GATE.mirrored.limit && outlinesAlike(outlinesOf(likeliest.seen), outlines, likeliest.map) > OUTLINED)
    return likeliest.told(by);
  const meant = outlinesOf(reference.small);
  const asItLies = Math.max(outlinesAlike(meant, outlines, map), outlinesAlike(meant, outlines, AS_IT_IS));
  return asItLies < GATE.not_the_reference.limit
    ? issue(
        'not_the_reference',
        asItLies,
        'This painting looks like another picture than the one it is measured against: choose the picture that it was painted from.',
      )
    : null;
}
