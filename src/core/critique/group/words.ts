/** What several hand-ins have in common, as the end of “nine of fourteen …”: one entry a code of every rule there is. */

/** `at` names the steps or the shape that it is said of; empty where it is the whole. */
type Shared = (at: string) => string;

const of =
  (words: string, otherwise: string): Shared =>
  (at) =>
    at === '' ? otherwise : words.replace('*', at);
const always =
  (words: string): Shared =>
  () =>
    words;

/** What works. */
const WORKS: Readonly<Record<string, Shared>> = {
  works_even: always('keep their steps evenly apart'),
  works_even_part: always('are even over a good part of the scale'),
  works_ends: always('reach both ends'),
  works_black: always('get down to a real black'),
  works_white: always('keep their white clean'),
  works_order: always('have every step in its order'),
  works_flat: always('have mixed their greys right through'),
  works_on_target: of('hit *', 'hit most of their steps'),
  big_shapes: always('have the big shapes in their places'),
  flat_tones: always('keep each tone one flat value'),
  pairs_hold: always('keep all of the light lighter than all of the shadow'),
  in_their_steps: always('keep each mass in its steps'),
  decided: always('have decided every shape'),
  drawing_holds: always('have the drawing where it belongs'),
  stain_even: always('have laid an even stain'),
  masses_apart: always('keep light and shadow apart'),
  greys_in_order: always('have the big greys in their order'),
  values_kept: always('have kept their values under the glaze'),
  rescue_reaches: always('have won range back'),
  rescue_clearer: always('have made the picture clearer'),
  rescue_contrast: always('have won contrast back'),
  values_hold: always('have the values of the big shapes'),
  range_holds: always('use the whole range'),
  form_holds: always('turn the form under one light'),
  colours_hold: always('have the colours'),
  accent_alone: always('keep one place for the colour'),
};

/** What is to be mended in scales. */
const SCALES: Readonly<Record<string, Shared>> = {
  weak_black: always('have a black that does not get down'),
  weak_white: always('begin too dark at the white end'),
  reversed: of('have * the wrong way round', 'have two steps the wrong way round'),
  too_close: of('have * too close', 'have neighbours that are too close'),
  too_wide: of('have a jump between *', 'have a jump between two steps'),
  off_target: of('are off at *', 'are off at a step'),
  streaky: of('have streaks in *', 'have streaks'),
  bare_ground: of('let the paper show in *', 'let the paper show'),
  over_the_line: of('went over the line at *', 'went over the line'),
  built_up_edge: of('have a ridge of paint round *', 'have ridges of paint at the edges'),
  line_shows: of('let the printed line show round *', 'let the printed line show'),
  drift_warm: of('turn warm at *', 'turn warm on the way'),
  drift_cool: of('turn cool at *', 'turn cool on the way'),
  hue_turn: of('turn to another hue at *', 'turn to another hue on the way'),
  chip_misplaced: of('laid a chip at *, where it does not belong', 'laid a chip where it does not belong'),
  silhouette_not_solid: always('have a dark shape that is not solid'),
};

/** In paintings of few tones. */
const TONES: Readonly<Record<string, Shared>> = {
  outside_steps: of('have some of * outside its steps', 'have masses outside their steps'),
  pair_crossed: of('have shadow lighter than light on *', 'have shadow that is lighter than light'),
  overlap_lighter: of('have * too light where shadows overlap', 'have overlapping shadows that are too light'),
  flipped_shape: of('have * in the other tone', 'have a shape in the other tone'),
  shifted: always('have the whole picture a little out of its place'),
  tone_share: always('have more or less of a tone than there should be'),
  slivers: always('have shapes too thin to read from across the room'),
  sizes_alike: always('have shapes that are all of one size'),
  ragged_edges: always('have ragged edges'),
  missing_tone: always('have a tone missing'),
  grey_for_black: always('have a grey where the dark should be'),
  grey_for_white: always('have a grey where the light should be'),
  uneven_tone: always('have a tone that reads as several'),
  white_not_sparing: always('have used up their white'),
  seams_stand_out: always('have lines or gaps along the seams'),
};

/** In paintings of many values. */
const PAINTINGS: Readonly<Record<string, Shared>> = {
  stain_uneven: always('have an uneven stain'),
  masses_meet: always('let light and shadow meet'),
  greys_swapped: of('have * in the wrong order', 'have big greys in the wrong order'),
  values_lost: of('have lost the value of * under the glaze', 'have lost values under the glaze'),
  rescue_narrower: always('have less range than before'),
  rescue_untouched: always('have left most of it as it was'),
  range_short: always('live in the middle: the range is short'),
  range_stretched: always('go further than the picture does'),
  all_lighter: always('are too light all over'),
  all_darker: always('are too dark all over'),
  part_off: of('have the value of * off', 'have a shape whose value is off'),
  middle_crowded: always('are crowded in the middle'),
  lights_scattered: always('have their lights scattered'),
  darks_scattered: always('have their darks scattered'),
  focus_elsewhere: always('lead the eye elsewhere'),
  form_broken: of('have the form of * broken', 'have the form broken somewhere'),
  colour_strength: always('have the colours too strong or too weak'),
  colour_cast: always('have one colour over everything'),
  colour_off: of('have the colour of * off', 'have a colour that is off'),
  colour_elsewhere: always('have the strongest colour in another place'),
  shadow_warmth: of('have shadows of the wrong warmth on *', 'have shadows of the wrong warmth'),
  accent_of_colour: always('have colour where there should be none'),
  extent_off: of('have * too large or too small', 'have a shape that is too large or too small'),
  line_off: always('have thin lines that are missing or too many'),
  gradient_off: of('turn * too fast or too slowly', 'turn a form too fast or too slowly'),
  contrast_off: of('have the contrast at * off', 'have a contrast that is off'),
  picture_moved: always('have the whole picture out of its place'),
  picture_turned: always('have the whole picture tilted'),
  picture_sized: always('have the whole picture too large or too small'),
  feature_moved: of('have * in another place', 'have a thing in another place'),
  gap_off: of('have the gap at * too wide or too narrow', 'have a gap too wide or too narrow'),
};

export const SHARED_WORDS: Readonly<Record<string, Shared>> = { ...WORKS, ...SCALES, ...TONES, ...PAINTINGS };

const NUMBERS = [
  ...['no one', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve'],
] as const;
const spelled = (n: number): string => NUMBERS[n] ?? String(n);

/** How many of how many, as it is said: “nine of twelve”, “all eight”, “14 of 60”. */
export function sayHowMany(some: number, all: number): string {
  if (some === all) return all === 2 ? 'both' : `all ${spelled(all)}`;
  return some <= 12 && all <= 12 ? `${spelled(some)} of ${spelled(all)}` : `${some} of ${all}`;
}
