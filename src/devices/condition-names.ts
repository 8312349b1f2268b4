/**
 * Circumstances of a photograph by name. Which of them a careful reader may use is fixed here, by how
 * the picture is taken, before anything is read.
 */
/** Strong tone curves under light that falls off two to one. */
export const CURVES = ['curve-s', 'curve-lifted', 'curve-toe'] as const;
/** Usable too, each with something of its own: lamps of two colours, a sensor whose primaries are not sRGB's, light that hardly falls off and a mild camera. */
export const SPECIAL = ['two-lamps', 'other-primaries', 'even-light'] as const;

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
  'local-tone': 'local_tone',
  buckled: 'buckled',
  'coloured-lamp': 'colour_cast',
  shadow: 'uneven_light',
  'gloss-on-black': 'glare',
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
  'evened-a-little': 'local_tone',
  wavy: 'buckled',
  'warm-bulb': 'colour_cast',
} as const;

export type UsableCondition = (typeof USABLE)[number];
export type UnusableCondition = keyof typeof UNUSABLE;
export type NearMiss = keyof typeof NEAR_MISSES;
export type CurveCondition = (typeof CURVES)[number];
export type SpecialCondition = (typeof SPECIAL)[number];
export type CameraCondition = UsableCondition | CurveCondition | SpecialCondition | UnusableCondition | NearMiss;
export const CAMERA_CONDITIONS: readonly CameraCondition[] = [
  ...USABLE,
  ...CURVES,
  ...SPECIAL,
  ...(Object.keys(NEAR_MISSES) as NearMiss[]),
  ...(Object.keys(UNUSABLE) as UnusableCondition[]),
];
