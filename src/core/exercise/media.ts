/**
 * Paint media for black-and-white scales: the lightness they usually reach dry. Figures are rough, shown as estimates and editable in each exercise.
 */
export interface Medium {
  readonly name: string;
  /** L* that white and black of this medium usually reach on white paper, dry and without glare. */
  readonly ends: { readonly light: number; readonly dark: number };
  readonly dryMinutes: readonly [number, number];
}

export const MEDIA = {
  gouache: {
    name: 'gouache',
    ends: { light: 96, dark: 24 },
    dryMinutes: [5, 20],
  },
  tempera: {
    name: 'tempera',
    ends: { light: 95, dark: 25 },
    dryMinutes: [20, 40],
  },
  acrylic: {
    name: 'acrylic',
    ends: { light: 96, dark: 20 },
    dryMinutes: [10, 60],
  },
  oil: {
    name: 'oil',
    ends: { light: 96, dark: 14 },
    dryMinutes: [2880, 17280],
  },
} as const satisfies Record<string, Medium>;

export type MediumId = keyof typeof MEDIA;
export const MEDIUM_IDS = Object.keys(MEDIA) as [MediumId, ...MediumId[]];
