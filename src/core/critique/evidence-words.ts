/** What the numbers behind a finding are called, for a teacher who asks why it is said. */

/** What a number counts. A share, from 0 to 1, and what is counted have no unit. */
export const UNITS = {
  lightness: 'L*',
  steps: 'steps',
  widths: 'of the width',
  degrees: 'degrees',
  times: 'times',
  share: '',
  colour: '',
  count: '',
} as const;
export type Unit = keyof typeof UNITS;

/** How a number is called, and what it counts. */
export type Called = readonly [label: string, unit: Unit];
type Calls = Readonly<Record<string, Called>>;

/** Numbers of what is to be done about a finding, whatever it is. */
export const OF_ACTIONS: Calls = {
  removes: ['doing it takes away, of what all the rest weighs', 'share'],
  repaint: ['of the picture is painted over for it', 'share'],
};

/** What a number is called wherever its rule does not say otherwise. */
export const USUALLY: Calls = {
  a: ['too red (below 0: too green)', 'colour'],
  amount: ['of it there is', 'share'],
  area: ['how much of the picture', 'share'],
  between: ['of the seams that lie between their neighbours', 'share'],
  belongs: ['belongs to step', 'count'],
  b: ['too yellow (below 0: too blue)', 'colour'],
  by: ['off by', 'lightness'],
  change: ['changed by (below 0: darker)', 'lightness'],
  changeSteps: ['in steps', 'steps'],
  chromaPainted: ['difference in colour, painted', 'colour'],
  chromaWanted: ['difference in colour, wanted', 'colour'],
  contrast: ['of the range there is', 'share'],
  degrees: ['turned clockwise', 'degrees'],
  darkest: ['darkest', 'lightness'],
  drawn: ['painted in tone', 'count'],
  dx: ['to the right (below 0: left)', 'widths'],
  dy: ['down (below 0: up)', 'widths'],
  error: ['off by', 'lightness'],
  frame: ['frame round it', 'lightness'],
  from: ['wanted from step', 'count'],
  gap: ['the gap is', 'lightness'],
  gaps: ['the gaps are', 'lightness'],
  height: ['height, where 1 is right', 'times'],
  huePainted: ['difference in hue, painted', 'colour'],
  hueWanted: ['difference in hue, wanted', 'colour'],
  ideal: ['the gap should be', 'lightness'],
  inside: ['within their steps', 'share'],
  lightest: ['lightest', 'lightness'],
  lightness: ['painted', 'lightness'],
  limit: ['the line is at', 'count'],
  lost: ['of the range before is gone', 'share'],
  middle: ['in the middle third', 'share'],
  mm: ['millimetres of glaze, as it is laid wet', 'count'],
  newLightness: ['the new shape is', 'lightness'],
  off: ['off by', 'colour'],
  painted: ['painted', 'lightness'],
  pairs: ['pairs out of order', 'count'],
  parts: ['parts that are off', 'count'],
  pieces: ['pieces', 'count'],
  places: ['places', 'count'],
  ragged: ['edge that is ragged', 'share'],
  range: ['range grew by', 'lightness'],
  reference: ['the reference, there', 'share'],
  referenceShare: ['how much of the reference', 'share'],
  agreement: ['agrees with the reference', 'share'],
  repainted: ['painted over', 'share'],
  rim: ['rim beside the middle', 'lightness'],
  separation: ['light and shadow apart', 'lightness'],
  shapes: ['shapes looked at', 'count'],
  share: ['how much', 'share'],
  shift: ['the whole sits off by', 'widths'],
  slant: ['turned clockwise', 'degrees'],
  slivers: ['small shapes', 'count'],
  spread: ['uneven by', 'lightness'],
  steps: ['off by (below 0: too dark)', 'steps'],
  stepsDark: ['short at the dark end', 'steps'],
  stepsLight: ['short at the light end', 'steps'],
  strength: ['of the differences in colour there are', 'share'],
  target: ['wanted', 'lightness'],
  to: ['to step', 'count'],
  tone: ['tone', 'count'],
  unevenness: ['uneven by', 'lightness'],
  value: ['found', 'count'],
  variety: ['sizes differ by, beside their mean', 'share'],
  wanted: ['wanted', 'lightness'],
  width: ['width, where 1 is right', 'times'],
  x: ['to the right (below 0: left)', 'widths'],
  y: ['down (below 0: up)', 'widths'],
};

/** Beside the state before. */
const RESCUED: Calls = {
  contrast: ['contrast between neighbours grew by', 'lightness'],
  middle: ['more in the middle third (below 0: less)', 'share'],
};

/** What is called otherwise under one code. */
export const OTHERWISE: Readonly<Record<string, Calls>> = {
  accent_alone: { off: ['stands off its surroundings by', 'colour'] },
  accent_of_colour: { off: ['stands off its surroundings by', 'colour'] },
  darks_scattered: { wanted: ['in the reference', 'count'] },
  lights_scattered: { wanted: ['in the reference', 'count'] },
  bare_ground: { share: ['of the cell is bare', 'share'] },
  chip_misplaced: { lightness: ['the chip is', 'lightness'] },
  contrast_off: { steps: ['further apart than wanted (below 0: nearer)', 'steps'] },
  drift_cool: { a: ['red (below 0: green)', 'colour'], b: ['yellow (below 0: blue)', 'colour'] },
  drift_warm: { a: ['red (below 0: green)', 'colour'], b: ['yellow (below 0: blue)', 'colour'] },
  extent_off: { by: ['grown by (below 0: shrunk), or livelier by', 'share'], steps: ['as much as', 'steps'] },
  flipped_shape: { wanted: ['wanted in tone', 'count'] },
  focus_elsewhere: { painted: ['of the sharpest contrast, where it was meant', 'share'] },
  gap_off: { painted: ['painted', 'widths'], wanted: ['wanted', 'widths'] },
  gradient_off: { steps: ['from side to side, amiss by', 'steps'] },
  hue_turn: { a: ['red (below 0: green)', 'colour'], b: ['yellow (below 0: blue)', 'colour'] },
  line_shows: { share: ['of the line shows', 'share'] },
  masses_apart: { steps: ['apart', 'steps'] },
  masses_meet: { steps: ['apart', 'steps'] },
  middle_crowded: { wanted: ['of the reference', 'share'] },
  over_the_line: { share: ['of the cell lies outside', 'share'] },
  pair_crossed: { wanted: ['wanted apart', 'lightness'] },
  part_off: { lightness: ['lighter than its target (below 0: darker)', 'lightness'] },
  rescue_clearer: RESCUED,
  rescue_contrast: RESCUED,
  rescue_narrower: RESCUED,
  rescue_reaches: RESCUED,
  rescue_untouched: RESCUED,
  shadow_warmth: {
    painted: ['shadow warmer than light, painted', 'colour'],
    wanted: ['shadow warmer than light, wanted', 'colour'],
  },
  tone_share: { share: ['of the painting', 'share'] },
};
