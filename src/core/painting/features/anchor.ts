/** One feature held still: where all the others stand beside it, as one lines up a drawing on a single point of its reference. */
import type { ShareBox } from '../../geometry/share-box';
import type { PaintingResult } from '../result';

type Displacement = PaintingResult['displacements'][number];

export interface BesideAnchor {
  readonly id: string;
  readonly name: string | null;
  /** Against the anchor, widths: to the right and down; 0 of the anchor itself. */
  readonly dx: number;
  readonly dy: number;
}

/** Every feature against the one with that id. Throws RangeError where there is none. */
export function besideAnchor(displacements: readonly Displacement[], anchor: string): BesideAnchor[] {
  const held = displacements.find((d) => d.id === anchor);
  if (!held) throw new RangeError(`There is no feature “${anchor}” to hold still.`);
  return displacements.map(({ id, name, dx, dy }) => ({ id, name, dx: dx - held.dx, dy: dy - held.dy }));
}

/** Gap between two features beside each other on the reference, and what became of it. */
export type Gap = PaintingResult['gaps'][number];

/** Neighbours further apart than this, widths, have no gap that anybody sees. */
const NEAR = 0.08;

type Span = readonly [from: number, to: number];
const apart = (a: Span, b: Span): number => Math.max(a[0], b[0]) - Math.min(a[1], b[1]);

function around(a: ShareBox, b: ShareBox): ShareBox {
  const [x, y] = [Math.min(a.x, b.x), Math.min(a.y, b.y)];
  const [right, bottom] = [Math.max(a.x + a.width, b.x + b.width), Math.max(a.y + a.height, b.y + b.height)];
  return { x, y, width: right - x, height: bottom - y };
}

/** A feature's span along an axis, in widths, as wanted and as painted: widened about its middle, then moved. */
function spans({ box, ...own }: Displacement, way: Gap['way'], aspect: number): { wanted: Span; painted: Span } {
  const [from, long, moved, ratio] =
    way === 'across'
      ? [box.x, box.width, own.dx, own.width]
      : [box.y * aspect, box.height * aspect, own.dy, own.height];
  const middle = from + long / 2 + moved;
  return { wanted: [from, from + long], painted: [middle - (long * ratio) / 2, middle + (long * ratio) / 2] };
}

/**
 * Gaps between features with names that stand side by side or above each other, none of them a part of the other. `aspect` is
 * height over width of the reference.
 */
export function gapsBetween(displacements: readonly Displacement[], aspect: number): Gap[] {
  const named = displacements.filter((d) => d.name !== null && !d.name.includes(' > '));
  return named.flatMap((a, k) =>
    named.slice(k + 1).flatMap((b): Gap[] =>
      (['across', 'down'] as const).flatMap((way) => {
        const other = way === 'across' ? 'down' : 'across';
        const [p, q] = [spans(a, way, aspect), spans(b, way, aspect)];
        const level = apart(spans(a, other, aspect).wanted, spans(b, other, aspect).wanted) < 0;
        const wanted = apart(p.wanted, q.wanted);
        if (!level || wanted < 0 || wanted > NEAR) return [];
        return [
          {
            between: [a.name ?? '', b.name ?? ''],
            way,
            wanted,
            painted: apart(p.painted, q.painted),
            box: around(a.box, b.box),
          },
        ];
      }),
    ),
  );
}
