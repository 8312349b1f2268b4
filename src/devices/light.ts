/** Lamps and windows over a sheet: how much light of which colour falls on each place. */
import type { Triple } from '@/core/colour/srgb';
import type { Chance } from './random';

export interface Lamp {
  /** Millimetres from the sheet's top-left corner; z is the height above it. */
  readonly at: Triple;
  readonly colour: Triple;
}

export interface Lighting {
  readonly lamps: readonly Lamp[];
  readonly ambient: Triple;
}

/** Irradiance (arbitrary units) per channel at a place on the sheet; inverse square and cosine. */
export function irradiance(light: Lighting, xMm: number, yMm: number): Triple {
  const sum: [number, number, number] = [...light.ambient];
  for (const { at, colour } of light.lamps) {
    const d2 = (at[0] - xMm) ** 2 + (at[1] - yMm) ** 2 + at[2] ** 2;
    const e = at[2] / (d2 * Math.sqrt(d2));
    for (let c = 0; c < 3; c++) sum[c] = (sum[c] ?? 0) + e * (colour[c] ?? 0);
  }
  return sum;
}

function greenRatio(light: Lighting, widthMm: number, heightMm: number): number {
  let [low, high] = [Infinity, 0];
  for (let i = 0; i <= 6; i++)
    for (let k = 0; k <= 6; k++) {
      const e = irradiance(light, (widthMm * i) / 6, (heightMm * k) / 6)[1];
      low = Math.min(low, e);
      high = Math.max(high, e);
    }
  return high / low;
}

export const CASTS = {
  daylight: [0.96, 1, 1.03],
  window: [0.86, 1, 1.15],
  tungsten: [1.32, 1, 0.62],
} as const satisfies Record<string, Triple>;

/** Daylight from one side and a warm lamp from the other: the cast turns over the sheet. */
export function windowAndLamp(own: Chance, sheet: { widthMm: number; heightMm: number }, ratio: number): Lighting {
  const window = sideLight(own, sheet, ratio, CASTS.window, true);
  const middle = [sheet.widthMm / 2, sheet.heightMm / 2] as const;
  const across = window.lamps.map(({ at }): Triple => [2 * middle[0] - at[0], 2 * middle[1] - at[1], at[2]]);
  const share = own.between(0.35, 0.7);
  const lamp = CASTS.tungsten.map((c) => c * share) as unknown as Triple;
  return {
    lamps: [...window.lamps, ...across.map((at) => ({ at, colour: lamp }))],
    ambient: window.ambient,
  };
}

/**
 * One lamp (or a window, a row of lamps) to one side, moved so near that the light over the sheet
 * falls off by `ratio` from its brightest to its darkest place.
 */
export function sideLight(
  own: Chance,
  sheet: { widthMm: number; heightMm: number },
  ratio: number,
  cast: Triple,
  wide: boolean,
): Lighting {
  const angle = own.between(0, 2 * Math.PI);
  const span = Math.hypot(sheet.widthMm, sheet.heightMm);
  const build = (distance: number): Lighting => {
    const count = wide ? 9 : 1;
    const lamps: Lamp[] = Array.from({ length: count }, (_, i) => {
      const along = wide ? (i - 4) * 90 : 0;
      return {
        at: [
          sheet.widthMm / 2 + Math.cos(angle) * distance - Math.sin(angle) * along,
          sheet.heightMm / 2 + Math.sin(angle) * distance + Math.cos(angle) * along,
          0.6 * distance + 40,
        ],
        colour: cast,
      };
    });
    const level = irradiance({ lamps, ambient: [0, 0, 0] }, sheet.widthMm / 2, sheet.heightMm / 2)[1];
    const ambient = 0.12 * level;
    return { lamps, ambient: [ambient * cast[0], ambient * cast[1], ambient * cast[2]] };
  };
  let [near, far] = [0.2 * span, 30 * span];
  for (let k = 0; k < 40; k++) {
    const middle = Math.sqrt(near * far);
    if (greenRatio(build(middle), sheet.widthMm, sheet.heightMm) > ratio) near = middle;
    else far = middle;
  }
  return build(far);
}
