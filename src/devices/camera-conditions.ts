/**
 * Circumstances of a photograph by name. Which of them a careful reader may use is fixed here, by how
 * the picture is taken, before anything is read.
 */
import type { Triple } from '@/core/colour/srgb';
import { CASTS, type Lighting, sideLight } from './light';
import { type Pose, randomPose } from './optics';
import { chance } from './random';

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
  readonly curve: { readonly contrast: number; readonly lift: number; readonly gamma: number };
  readonly blurPx: number;
  readonly noise: number;
  readonly sharpen: number;
  readonly quality: number;
  readonly glare: { readonly atMm: readonly [number, number]; readonly radiusMm: number; readonly strength: number } | null;
  /** How many sheets lie on the table: usually one. */
  readonly sheets: 0 | 1 | 2;
}

export const USABLE = ['studio', 'window', 'lamp', 'tilted', 'phone', 'haze'] as const;
export const UNUSABLE = {
  glare: 'glare',
  blurred: 'blur',
  dark: 'too_dark',
  burnt: 'clipped',
  'no-sheet': 'no_target',
  'cut-off': 'cut_off',
  steep: 'tilt',
  far: 'low_resolution',
  'close-lamp': 'uneven_light',
  'two-sheets': 'two_sheets',
} as const;

/** Near to each fault, and still good to read. */
export const NEAR_MISSES = {
  'shine-beside': 'glare',
  soft: 'blur',
  dim: 'too_dark',
  bright: 'clipped',
  'to-the-edge': 'cut_off',
  slanted: 'tilt',
  small: 'low_resolution',
  'lamp-beside': 'uneven_light',
} as const;

export type UsableCondition = (typeof USABLE)[number];
export type UnusableCondition = keyof typeof UNUSABLE;
export type NearMiss = keyof typeof NEAR_MISSES;
export type CameraCondition = UsableCondition | UnusableCondition | NearMiss;
export const CAMERA_CONDITIONS: readonly CameraCondition[] = [
  ...USABLE,
  ...(Object.keys(NEAR_MISSES) as NearMiss[]),
  ...(Object.keys(UNUSABLE) as UnusableCondition[]),
];

export interface Stage {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly cells: readonly { xMm: number; yMm: number; widthMm: number; heightMm: number }[];
}

/** A shot of a stage under a condition; `megapixels` 12 is a phone's. */
export function shotFor(condition: CameraCondition, stage: Stage, seed: number, megapixels = 12): Shot {
  const own = chance(seed).fork(`shot ${condition}`);
  const long = Math.round(Math.sqrt((megapixels * 1e6 * 4) / 3) / 8) * 8;
  const short = Math.round((long * 3) / 4);
  const casts: Triple[] = [CASTS.daylight, CASTS.window, CASTS.tungsten];
  const cast = casts[own.whole(0, 2)] ?? CASTS.daylight;
  const base: Shot = {
    width: short,
    height: long,
    pose: randomPose(own, long, [0, 10]),
    light: sideLight(own, stage, own.between(1.1, 1.5), cast, true),
    exposure: own.between(0.7, 0.92),
    stray: own.between(0.002, 0.012),
    vignette: own.between(0.05, 0.2),
    curve: { contrast: own.between(0, 0.35), lift: 0, gamma: own.between(0.95, 1.05) },
    blurPx: own.between(0.7, 1.2),
    noise: own.between(0.008, 0.02),
    sharpen: own.between(0.2, 0.7),
    quality: own.whole(86, 95),
    glare: null,
    sheets: 1,
  };
  switch (condition) {
    case 'studio':
      return base;
    case 'window':
      return { ...base, light: sideLight(own, stage, own.between(1.5, 1.9), CASTS.window, true) };
    case 'lamp':
      return { ...base, light: sideLight(own, stage, own.between(1.6, 2), CASTS.tungsten, false) };
    case 'tilted':
      return { ...base, pose: { ...base.pose, tiltDegrees: own.between(14, 20), rollDegrees: own.between(-12, 12) } };
    case 'phone':
      return {
        ...base,
        curve: { contrast: own.between(0.35, 0.7), lift: own.between(0, 0.15), gamma: own.between(0.9, 1.1) },
        noise: own.between(0.02, 0.032),
        sharpen: own.between(0.7, 1.2),
        quality: own.whole(78, 86),
      };
    case 'haze':
      return {
        ...base,
        stray: own.between(0.02, 0.04),
        light: sideLight(own, stage, own.between(1.4, 1.8), cast, true),
      };
    case 'glare': {
      const cell = stage.cells[own.whole(Math.floor(stage.cells.length / 3), stage.cells.length - 1)];
      const at = cell
        ? ([cell.xMm + cell.widthMm * own.between(0.3, 0.7), cell.yMm + cell.heightMm * own.between(0.3, 0.7)] as const)
        : ([stage.widthMm / 2, stage.heightMm / 2] as const);
      return { ...base, glare: { atMm: at, radiusMm: own.between(8, 16), strength: own.between(0.35, 1.2) } };
    }
    case 'shine-beside':
      return { ...base, glare: { atMm: [stage.widthMm / 2, stage.heightMm * own.between(0.72, 0.78)], radiusMm: 8, strength: 0.25 } };
    case 'soft':
      return { ...base, blurPx: (long / 4000) * own.between(2, 2.6) };
    case 'dim':
      return { ...base, exposure: own.between(0.3, 0.4) };
    case 'bright':
      return { ...base, exposure: own.between(0.95, 0.98) };
    case 'to-the-edge':
      return { ...base, pose: { ...base.pose, tiltDegrees: own.between(0, 4), fill: own.between(0.96, 0.98), offset: [0, 0] } };
    case 'slanted':
      return { ...base, pose: { ...base.pose, tiltDegrees: own.between(23, 26) } };
    case 'small':
      return { ...base, pose: { ...base.pose, fill: own.between(0.5, 0.55) } };
    case 'lamp-beside':
      return { ...base, light: sideLight(own, stage, own.between(2.2, 2.5), cast, false) };
    case 'blurred':
      return { ...base, blurPx: (long / 4000) * own.between(16, 30) };
    case 'dark':
      return { ...base, exposure: own.between(0.03, 0.06) };
    case 'burnt':
      return { ...base, exposure: own.between(1.6, 2.4) };
    case 'no-sheet':
      return { ...base, sheets: 0 };
    case 'cut-off':
      return {
        ...base,
        pose: { ...base.pose, fill: own.between(0.85, 0.95), offset: [own.between(0.16, 0.25) * (own.next() < 0.5 ? -1 : 1), 0] },
      };
    case 'steep':
      return { ...base, pose: { ...base.pose, tiltDegrees: own.between(42, 50) } };
    case 'far':
      return { ...base, pose: { ...base.pose, fill: own.between(0.17, 0.22) } };
    case 'close-lamp':
      return { ...base, light: sideLight(own, stage, own.between(5, 7), cast, false) };
    case 'two-sheets':
      return { ...base, sheets: 2, pose: { ...base.pose, tiltDegrees: own.between(0, 4), rollDegrees: 0 } };
  }
}
