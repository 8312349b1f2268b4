/** What is promised of readings, and whether a run kept it. */
import type { SpeedReport } from '../speed-process';
import { LIMIT as SPEED_LIMIT } from '../speed';
import type { TrialOutcome } from '../trial-outcome';
import { MESSAGE_MEGAPIXELS, namedOf, type Photographed, usableOf } from './photographed';
import { colourError, errorAt, halfWidth, percent, promised, twoPlaces, within } from './readings';

export interface Promised {
  readonly what: string;
  readonly found: string;
  readonly kept: boolean;
}

/** In L* where nothing else is said. */
const LIMIT = {
  median: 0.15,
  most: 0.5,
  messageMedian: 0.3,
  messageMost: 1,
  byHand: 1,
  halfWidth: 0.35,
  ab: 2,
  abOther: 3,
  relative: 2.5,
  bare: 4,
  curve: 1.5,
  alike: 1,
  pixels: 3,
  cover: [0.93, 0.97],
  refused: 1 / 50,
} as const;

const atMost = (what: string, value: number, limit: number): Promised => ({
  what: `${what} ${limit}`,
  found: twoPlaces(value),
  kept: value <= limit,
});

function covered(what: string, outcomes: readonly TrialOutcome[]): Promised {
  const share = within(promised(outcomes));
  return { what, found: percent(share), kept: share >= LIMIT.cover[0] && share <= LIMIT.cover[1] };
}

/** The most that two places painted alike differ in their error, L*. */
function apart({ readings }: TrialOutcome): number {
  const groups = [0, 1].map((k) => readings.filter((r) => r.step % 2 === k).map((r) => r.read - r.truth));
  return Math.max(...groups.map((errors) => Math.max(...errors) - Math.min(...errors)));
}

function calibratedPromises(p: Photographed): Promised[] {
  const calibrated = [...p.sheets, ...p.boards];
  return [
    atMost('calibrated lightness, median at most', errorAt(calibrated, 0.5), LIMIT.median),
    atMost('calibrated lightness, 95 % within', errorAt(calibrated, 0.95), LIMIT.most),
    atMost('a*, b* of the greys, 95 % within', colourError(p.sheets), LIMIT.ab),
    covered('stated interval holds the truth in 93 to 97 %', calibrated),
    covered('the same on photographs of other cameras, coloured sheets and wavy paper', [
      ...p.curves,
      ...p.hue,
      ...p.nearly,
    ]),
    atMost('stated half-width on sheets, median at most', halfWidth(p.sheets), LIMIT.halfWidth),
  ];
}

function messagePromises({ messages }: Photographed): Promised[] {
  return messages.flatMap((outcomes, k) => {
    const size = `${MESSAGE_MEGAPIXELS[k]} megapixels, as messages carry them`;
    const taken = outcomes.filter((o) => o.accepted).length;
    const usable: Promised = {
      what: `${size}: usable`,
      found: `${taken} of ${outcomes.length}`,
      kept: taken >= outcomes.length * (1 - LIMIT.refused),
    };
    return [
      atMost(`${size}: median at most`, errorAt(outcomes, 0.5), LIMIT.messageMedian),
      atMost(`${size}: 95 % within`, errorAt(outcomes, 0.95), LIMIT.messageMost),
      // Smaller ones lose a place here and there; how many stands in the table.
      ...(k === 0 ? [usable] : []),
    ];
  });
}

function harderPromises(p: Photographed): Promised[] {
  const most = Math.max(...p.alike.map(apart));
  const pixels = Math.max(...p.sheets.flatMap((o) => o.pixels ?? []));
  return [
    atMost('relative, paper along both sides: 95 % within', errorAt(p.marked, 0.95), LIMIT.relative),
    atMost('relative, no paper, even light: 95 % within', errorAt(p.bare, 0.95), LIMIT.bare),
    atMost('strong tone curves in light of 2 : 1: 95 % within', errorAt(p.curves, 0.95), LIMIT.curve),
    {
      what: `the same grey in different places under them differs by under ${LIMIT.alike}`,
      found: `${twoPlaces(most)} at the most in ${p.alike.length}`,
      kept: most < LIMIT.alike,
    },
    atMost('coloured sheets by other primaries: a*, b* 95 % within', colourError(p.hue), LIMIT.abOther),
    atMost(
      'bands drawn by hand, on sheets and boards: 95 % within',
      errorAt([...p.drawn.sheets, ...p.drawn.boards], 0.95),
      LIMIT.byHand,
    ),
    atMost('bands drawn by hand, between marked corners: 95 % within', errorAt(p.drawn.marked, 0.95), LIMIT.relative),
    atMost('straightened picture against the paint, 95 % of places in every photograph within', pixels, LIMIT.pixels),
  ];
}

function takenOrRefused(p: Photographed): Promised[] {
  const usable = usableOf(p);
  const refused = usable.filter((o) => !o.accepted).length;
  const named = namedOf(p).length;
  return [
    {
      what: 'usable photographs refused, at most 1 in 50',
      found: `${refused} of ${usable.length}`,
      kept: refused <= usable.length * LIMIT.refused,
    },
    {
      what: 'unusable photographs refused with their code',
      found: `${named} of ${p.unusable.length}`,
      kept: named === p.unusable.length,
    },
  ];
}

const speedPromises = ({ photographs, measureMs, decodeMs, megabytes }: SpeedReport): Promised[] => [
  atMost(
    `${photographs} photographs read, in times of what decoding them takes, at most`,
    measureMs / decodeMs,
    SPEED_LIMIT.ratio,
  ),
  {
    what: `memory at most ${SPEED_LIMIT.megabytes} MB`,
    found: `${megabytes.toFixed(0)} MB`,
    kept: megabytes <= SPEED_LIMIT.megabytes,
  },
];

export const promisesOf = (p: Photographed, speed: SpeedReport): Promised[] => [
  ...calibratedPromises(p),
  ...messagePromises(p),
  ...harderPromises(p),
  ...takenOrRefused(p),
  ...speedPromises(speed),
];
