/**
 * The quality gate: what makes a photograph unusable, as data. Each limit was chosen by simulation
 * (the bench prints the tables) so that accepted readings keep their promise; each code has a fault
 * that raises it and a near miss that does not in the tests.
 */
export interface PhotoBox {
  /** Fractions of the photograph. */
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

interface Rule {
  /** The limit, in the unit that `unit` names. */
  readonly limit: number;
  readonly unit: string;
  readonly refuses: boolean;
}

export const GATE = {
  no_target: { limit: 4, unit: 'corner markers found', refuses: true },
  wrong_sheet: { limit: 0.3, unit: 'share of gaps that are not where they should be', refuses: true },
  two_sheets: { limit: 1, unit: 'sheets', refuses: true },
  cut_off: { limit: 4, unit: 'corner markers found', refuses: true },
  blur: { limit: 1, unit: 'mm from dark to light across a printed edge', refuses: true },
  glare: { limit: 1, unit: 'strength of shine, 1 is the most that is harmless', refuses: true },
  clipped: { limit: 0.1, unit: 'share of bare paper at the top code', refuses: true },
  too_dark: { limit: 85, unit: 'median code of bare paper', refuses: true },
  tilt: { limit: 32, unit: 'degrees', refuses: true },
  uneven_light: { limit: 3.2, unit: 'brightest over darkest light', refuses: true },
  local_tone: { limit: 1.2, unit: 'L* that equal greys differ in different places', refuses: true },
  colour_cast: { limit: 6, unit: 'strongest over weakest colour of the light', refuses: true },
  buckled: { limit: 0.45, unit: 'mm that print is off a flat sheet', refuses: true },
  // Readings keep their promise down to less; below this too much of what lies beside them is missed (see docs).
  low_resolution: { limit: 2, unit: 'pixels a millimetre', refuses: true },
  unpainted: { limit: 6, unit: 'L* between its light and its dark', refuses: true },
  not_the_reference: { limit: 0.275, unit: 'likeness of its outlines to those of its picture', refuses: true },
  mirrored: { limit: 0.15, unit: 'how much more alike it is in a mirror', refuses: true },
  upside_down: { limit: 0.15, unit: 'how much more alike it is on its head', refuses: true },
  cropped: { limit: 0.15, unit: 'how much more alike it is to a part of the picture', refuses: true },
  outside_card: { limit: 0, unit: 'steps beyond the printed greys', refuses: false },
} as const satisfies Record<string, Rule>;

export type GateCode = keyof typeof GATE;
export const GATE_CODES = Object.keys(GATE) as [GateCode, ...GateCode[]];

export interface CaptureIssue {
  readonly code: GateCode;
  readonly value: number;
  readonly limit: number;
  readonly box: PhotoBox | null;
  /** One sentence for the person with the camera: what to do. */
  readonly say: string;
}

/** One thing that the gate found: its number in the unit of its rule, and a box in shares of the photograph. */
export function issue(code: GateCode, value: number, say: string, box: PhotoBox | null = null): CaptureIssue {
  return { code, value: Math.round(value * 1000) / 1000, limit: GATE[code].limit, box, say };
}

/** Whether any of these makes a reading misleading. */
export function refuses(issues: readonly CaptureIssue[]): boolean {
  return issues.some((i) => GATE[i.code].refuses);
}
