/** Everything that a simulated photograph is taken with: camera, light, and what is wrong with either. */
import type { Triple } from '@/core/colour/srgb';
import type { Lighting } from './light';
import type { Pose } from './optics';

export interface Ripple {
  /** Half the height from trough to crest, mm. */
  readonly heightMm: number;
  readonly lengthMm: number;
  readonly phase: number;
  /** Direction that the light comes from, and how flatly: its run along the sheet over its fall. */
  readonly light: readonly [number, number];
}

export interface Shot {
  readonly width: number;
  readonly height: number;
  readonly pose: Pose;
  readonly light: Lighting;
  /** Sensor level (1 = clipped) of a perfect white at the brightest place. */
  readonly exposure: number;
  /** Light that reaches every pixel from everywhere, as a share of the exposure. */
  readonly stray: number;
  readonly vignette: number;
  /** Strength (0 none) of the S-shaped contrast and of lifted shadows, and the display exponent. */
  readonly curve: { readonly contrast: number; readonly lift: number; readonly gamma: number; readonly toe: number };
  /** How the sensor mixes linear sRGB, row by row; each row adds up to 1. */
  readonly sensor: readonly [Triple, Triple, Triple];
  /** How far the camera evens out large light and dark parts: 0 not at all, 1 wholly. */
  readonly localTone: number;
  /** What stands off the table, as a stretched canvas does: its outline on the table and how high its face is; null where all lies flat. */
  readonly raised: {
    readonly from: readonly [number, number];
    readonly to: readonly [number, number];
    readonly heightMm: number;
  } | null;
  /** Ripples of a sheet that dried in waves; null where it lies flat. */
  readonly ripple: Ripple | null;
  /** Somebody's shadow over one side: where its edge runs, how soft it is, what share of light it takes. */
  readonly shadow: {
    readonly atMm: readonly [number, number];
    readonly angle: number;
    readonly softMm: number;
    readonly share: number;
  } | null;
  readonly blurPx: number;
  readonly noise: number;
  readonly sharpen: number;
  readonly quality: number;
  readonly glare: {
    readonly atMm: readonly [number, number];
    readonly radiusMm: number;
    readonly strength: number;
  } | null;
  /** How many sheets lie on the table: usually one. */
  readonly sheets: 0 | 1 | 2;
}

export const PLAIN_SENSOR: Shot['sensor'] = [
  [1, 0, 0],
  [0, 1, 0],
  [0, 0, 1],
];

export interface Stage {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly cells: readonly { xMm: number; yMm: number; widthMm: number; heightMm: number }[];
}
