/**
 * Thin parts of a scene that nobody planted, the dark gap under a ball or the rim of a cup: a coarse brush may lose them as it may
 * lose any line. How much of one was painted is read off the canvas, whatever the program makes of it.
 */
import type { Drawing, SeenPicture } from '@/devices/drawing-hand';
import { quantile } from '../tally';
import type { Box } from './boxes';

/** The lightest, or darkest, of what the picture has in a box are the line; its share of the box. */
const LINE = 0.2;
/** Fewer places of the canvas say nothing. */
const LEAST = 20;

/** Share of how far a line in a box of the picture should stand out by which it does; `value` is what paint was to make of the picture. */
export function keptOf(
  { drawing, painted }: { readonly drawing: Drawing; readonly painted: Float32Array },
  { width, height, lightness }: SeenPicture,
  value: (lightness: number) => number,
  { box, light }: { readonly box: Box; readonly light: boolean },
): number {
  const places: { wanted: number; made: number }[] = [];
  drawing.x.forEach((x, i) => {
    const y = drawing.y[i] as number;
    const [u, v] = [x / width, y / height];
    if (u < box.x || v < box.y || u > box.x + box.width || v > box.y + box.height) return;
    const at = Math.min(height - 1, Math.floor(y)) * width + Math.min(width - 1, Math.floor(x));
    places.push({ wanted: value(lightness[at] as number), made: painted[i] as number });
  });
  if (places.length < LEAST) return NaN;
  places.sort((a, b) => (light ? b.wanted - a.wanted : a.wanted - b.wanted));
  const [line, beside] = [places.slice(0, LINE * places.length), places.slice(LINE * places.length)];
  const mean = (of: 'wanted' | 'made') => line.reduce((sum, p) => sum + p[of], 0) / line.length;
  const usual = (of: 'wanted' | 'made') =>
    quantile(
      beside.map((p) => p[of]),
      0.5,
    );
  return (mean('made') - usual('made')) / (mean('wanted') - usual('wanted'));
}
