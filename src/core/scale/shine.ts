/** Signs of shine on a cell: paint that rises smoothly above the cell's own lightness, places brighter than paper can be. */
import { grown, type Patchwork, SAMPLE_MM } from '../capture/patchwork';
import { lightnessToLuminance, luminanceToLightness } from '../colour/lab';
import type { Triple } from '../colour/srgb';
import { blockMeans, gaussianBlur } from '../raster/blur';

/** Broad enough that brush strokes average out (at 1.6 mm strong ones read as shine), narrow beside any shine that misleads. */
const SHINE_BLUR_MM = 2.6;
/** Shine is looked for on means over this many samples each way (1 mm). */
const SHINE_BLOCK = Math.round(1 / SAMPLE_MM);
/** What lies this near to a bare place is lighter than the paint by the camera's blur alone. */
const BARE_REACH_MM = 0.5;
/** Noise of single places is no shine. */
const SPECK_BLUR_MM = 0.25;
/** Paint may be this much lighter (L*) than the paper; more is shine. */
const OVER_PAPER = 6;

export interface Shine {
  readonly rise: number;
  readonly overPaper: number;
}

/** Share of the places whose surroundings are over a luminance. */
function shareOverPaper(p: Patchwork, places: readonly number[], limit: number): number {
  // A blur is over nothing that no place is over, and most cells have none.
  if (!p.y.some((y) => y > limit)) return 0;
  const soft = gaussianBlur(p.y, p.samples.columns, p.samples.rows, SPECK_BLUR_MM / SAMPLE_MM);
  return places.filter((i) => (soft[i] as number) > limit).length / places.length;
}

/**
 * Shine lifts light smoothly over several millimetres. Bare places are filled with the cell's own tone
 * first, since they too are lighter than the paint, but for another reason.
 */
export function shineOf(
  p: Patchwork,
  whole: readonly number[],
  ring: readonly number[],
  bareAt: Uint8Array,
  own: Triple,
  ground: Triple,
  ringMm: number,
): Shine {
  const { columns, rows } = p.samples;
  const fill = lightnessToLuminance(own[0]);
  const filled = new Float32Array(p.y.length).fill(fill);
  const bareNear = grown(bareAt, columns, rows, Math.ceil(BARE_REACH_MM / SAMPLE_MM));
  for (const i of whole) if (bareNear[i] === 0) filled[i] = p.y[i] as number;
  const coarse = blockMeans(filled, columns, rows, SHINE_BLOCK);
  const broad = gaussianBlur(coarse.data, coarse.width, coarse.height, SHINE_BLUR_MM / (SHINE_BLOCK * SAMPLE_MM));
  // The outermost blocks hold the ring, where the fill stands; they are left out.
  const edge = Math.ceil((ringMm + 2) / (SHINE_BLOCK * SAMPLE_MM));
  const lightness: number[] = [];
  for (let r = edge; r < coarse.height - edge; r++)
    for (let c = edge; c < coarse.width - edge; c++)
      lightness.push(luminanceToLightness(broad[r * coarse.width + c] as number));
  lightness.sort((a, b) => a - b);
  return {
    rise: (lightness[Math.floor(0.99 * lightness.length)] ?? 0) - (lightness[Math.floor(0.3 * lightness.length)] ?? 0),
    overPaper: shareOverPaper(p, [...whole, ...ring], lightnessToLuminance(ground[0] + OVER_PAPER)),
  };
}

/** Shine measured against the most that is harmless: a smooth rise, places brighter than paper, lost whites. */
const HARMLESS = { overPaper: 0.012, clipped: 0.01 } as const;
/**
 * The rise (L*) that is harmless on the darkest paint and from middle greys on. The same light that greys hide lifts black
 * by several L*: simulated gloss of 3 to 8 L* over black rose by 2.9 to 8 within its cell, dark paint without any by
 * no more than 0.8; streaks of 4 L* rose by 2 to 4 on middle greys.
 */
const HARMLESS_RISE = { dark: { lightness: 36, rise: 2.6 }, middle: { lightness: 44, rise: 8 } } as const;

/** Where more of the ground than this shows (share of the cell), the camera's blur of it lifts the paint around. */
const GROUND_LIFTS = 0.01;

function harmlessRise(lightness: number, bareGround: number): number {
  const { dark, middle } = HARMLESS_RISE;
  if (bareGround > GROUND_LIFTS) return middle.rise;
  const t = Math.min(1, Math.max(0, (lightness - dark.lightness) / (middle.lightness - dark.lightness)));
  return dark.rise + t * (middle.rise - dark.rise);
}

/** What of a cell's reading says how much it shines. */
interface ShinyCell {
  readonly shine: Shine;
  readonly clipped: number;
  readonly lab: Triple;
  /** Share of the cell; null where it can't be told from the paint. */
  readonly bareGround: number | null;
}

/** Over 1 the shine misleads. */
export function shineStrength(r: ShinyCell): number {
  return Math.max(
    r.shine.rise / harmlessRise(r.lab[0], r.bareGround ?? 0),
    r.shine.overPaper / HARMLESS.overPaper,
    r.clipped / HARMLESS.clipped,
  );
}
