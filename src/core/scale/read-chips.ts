/** Chips of colour laid under a scale, each where its mixer took it to be as light: found, read, and told where they belong. */
import type { Calibration } from '../capture/calibration';
import type { Photo } from '../raster/photo';
import type { ScaleLayout } from '../sheet/scale-layout';
import { readCell } from './read-cell';
import type { MeasuredChip } from './result';

/** A place is taken to hold a chip where more than this is painted. */
const MOST_BARE = 0.6;
/** Chroma (a*b*) below which a chip is a grey, and from which it is about as strong as paint comes. */
const GREY = 6;
const STRONG = 38;
/** Strong colours lighter than this are pale by nature. */
const LIGHT = 66;

/** Where among the steps a lightness belongs, as a fraction; 1 is the first step. Beyond the ends it stays at them. */
export function placeAmong(steps: readonly number[], lightness: number): number {
  const falling = (steps[0] ?? 0) >= (steps.at(-1) ?? 0);
  const sign = falling ? 1 : -1;
  if (sign * (lightness - (steps[0] ?? 0)) >= 0) return 1;
  for (let i = 1; i < steps.length; i++) {
    const [a, b] = [steps[i - 1] as number, steps[i] as number];
    if (sign * (lightness - b) >= 0 && sign * (a - lightness) >= 0) return a === b ? i : i + (a - lightness) / (a - b);
  }
  return steps.length;
}

/** What a chip is: the colour pure, a tint of it, or a colour darkened and dulled. */
export function whatChip([lightness, a, b]: readonly [number, number, number]): MeasuredChip['what'] {
  const chroma = Math.hypot(a, b);
  if (chroma < GREY) return 'grey';
  if (chroma >= STRONG) return 'pure';
  return lightness >= LIGHT ? 'tint' : 'dark';
}

/** Chips that are there, place by place. `steps` are the measured lightnesses in reading order. */
export function readChips(
  photo: Photo,
  calibration: Calibration,
  layout: ScaleLayout,
  steps: readonly number[],
): MeasuredChip[] {
  const ground = calibration.profile.paper;
  return layout.chips.flatMap((place): MeasuredChip[] => {
    const { lab, bareGround } = readCell(photo, calibration, place, ground, []);
    if (bareGround === null || bareGround > MOST_BARE) return [];
    const belongs = placeAmong(steps, lab[0]);
    return [
      {
        place: place.index,
        step: ((place.index - 1) % layout.steps) + 1,
        lightness: lab[0],
        a: lab[1],
        b: lab[2],
        belongs,
        nearest: Math.round(belongs),
        what: whatChip(lab),
      },
    ];
  });
}
