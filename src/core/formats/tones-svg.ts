/** Tones traced as closed outlines, and written as SVG: one path a tone, in the grey that it is painted in. */
import { contours } from 'd3-contour';
import { lightnessToGreyCode } from '../colour/grey-code';
import type { TonePlane } from '../tones/compare-tones';

/** Rings of places (x, y), outer ones and holes, of everything that is of `tone` or darker. */
export function tracedFrom({ toneOf, width, height }: TonePlane, tone: number): [number, number][][] {
  const values = Array.from(toneOf, (t) => (t >= tone ? 1 : 0));
  const [shape] = contours().size([width, height]).smooth(true).thresholds([0.5])(values);
  return (shape?.coordinates ?? []).flatMap((polygon) =>
    polygon.map((ring) => ring.map(([x, y]) => [x, y] as [number, number])),
  );
}

const hex = (code: number) => `#${code.toString(16).padStart(2, '0').repeat(3)}`;
const round = (v: number) => Math.round(v * 10) / 10;

const pathOf = (rings: readonly (readonly (readonly [number, number])[])[]): string =>
  rings.map((ring) => `M${ring.map(([x, y]) => `${round(x)} ${round(y)}`).join('L')}Z`).join('');

/** The picture in tones (`lightness` in L*, the lightest first), each laid over the lighter ones, so that no gap shows between them. */
export function tonesToSvg(plane: TonePlane, lightness: readonly number[], title: string): string {
  const { width, height } = plane;
  const layers = lightness
    .slice(1)
    .map(
      (l, k) =>
        `<path id="tone-${k + 2}" fill="${hex(lightnessToGreyCode(l))}" fill-rule="evenodd" d="${pathOf(tracedFrom(plane, k + 2))}"/>`,
    );
  const safe = title.replace(/[<>&"]/g, '');
  const lightest = hex(lightnessToGreyCode(lightness[0] ?? 100));
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}"><title>${safe}</title>`,
    `<rect id="tone-1" width="${width}" height="${height}" fill="${lightest}"/>`,
    ...layers,
    '</svg>\n',
  ].join('');
}
