/**
 * Paint media for black-and-white scales: the lightness they usually reach dry, and the caution to
 * print. Figures are rough, shown as estimates and editable in each exercise.
 */
export interface Medium {
  readonly name: string;
  /** L* that white and black of this medium usually reach on white paper, dry and without glare. */
  readonly ends: { readonly light: number; readonly dark: number };
  readonly dryMinutes: readonly [number, number];
  readonly caution: string;
}

const DEFER =
  'The label, the safety data sheet, school policy and local rules come first.';

export const MEDIA = {
  gouache: {
    name: 'gouache',
    ends: { light: 96, dark: 24 },
    dryMinutes: [5, 20],
    caution: `Wipe the brush before you rinse it, let the rinse water settle and keep solids out of the sink. No food or drink at the table; wash your hands. ${DEFER}`,
  },
  tempera: {
    name: 'tempera',
    ends: { light: 95, dark: 25 },
    dryMinutes: [20, 40],
    caution: `Wipe the brush before you rinse it and keep solids out of the sink. No food or drink at the table; wash your hands. For young classes look for a children's-safety label. ${DEFER}`,
  },
  acrylic: {
    name: 'acrylic',
    ends: { light: 96, dark: 20 },
    dryMinutes: [10, 60],
    caution: `Wipe the brush before you rinse it, let the rinse water settle and keep solids out of the sink. No cup or plate goes back to the kitchen; wash your hands. ${DEFER}`,
  },
  oil: {
    name: 'oil',
    ends: { light: 96, dark: 14 },
    dryMinutes: [2880, 17280],
    caution: `Air the room, keep solvent lids on and off your skin, never pour solvent down a drain. Oily rags can catch fire by themselves: lay them flat to dry outdoors or keep them wet in a lidded metal can. No lead white in a school or under 16. ${DEFER}`,
  },
} as const satisfies Record<string, Medium>;

export type MediumId = keyof typeof MEDIA;
export const MEDIUM_IDS = Object.keys(MEDIA) as [MediumId, ...MediumId[]];
