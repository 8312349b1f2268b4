/** Rings round a region of places, to be seen and not to be measured. */
import { contours } from 'd3-contour';
import type { ShareBox } from '../geometry/share-box';

/** An outline is drawn with no more than so many corners. */
const MOST_CORNERS = 160;
const thousandths = (v: number) => Math.round(v * 1000) / 1000;

/** Rings round all places of a grid that `isOf` (by their index), shares of the picture; traced in their box alone, since most are small. */
export function outlineOf(
  isOf: (index: number) => boolean,
  box: ShareBox,
  { width, height }: { readonly width: number; readonly height: number },
): [number, number][][] {
  const [x0, y0] = [Math.round(box.x * width), Math.round(box.y * height)];
  const [w, h] = [Math.round(box.width * width), Math.round(box.height * height)];
  const inside = Array.from({ length: w * h }, (_, i) =>
    isOf((y0 + Math.floor(i / w)) * width + x0 + (i % w)) ? 1 : 0,
  );
  const [shape] = contours().size([w, h]).smooth(false).thresholds([0.5])(inside);
  return (shape?.coordinates ?? []).flatMap((polygon) =>
    polygon.map((ring) => {
      const every = Math.ceil(ring.length / MOST_CORNERS);
      return ring
        .filter((_, i) => i % every === 0)
        .map(
          ([x, y]) =>
            [thousandths((x0 + (x as number)) / width), thousandths((y0 + (y as number)) / height)] as [number, number],
        );
    }),
  );
}
