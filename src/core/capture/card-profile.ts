/**
 * What the print in the photograph really is: Lab of its bare paper and of each patch. A nominal profile is what a
 * print should be, a measured one was read by an instrument, a carried one beside a card that was already known.
 */
import { lightnessToLuminance, luminanceToLightness } from '../colour/lab';
import type { Triple } from '../colour/srgb';
import { cardLightness, NOMINAL_CARD, type CardEnds } from '../sheet/card';
import { cardColour, type ChromaPatchMm } from '../sheet/chroma';
import type { PatchMm } from '../sheet/frame';

export type WhiteBasis = 'nominal' | 'measured' | 'carried';

export interface CardProfile {
  readonly basis: WhiteBasis;
  readonly paper: Triple;
  /** In the order of the sheet's greys. */
  readonly greys: readonly Triple[];
  /** In the order of its coloured patches; null where they were not read: colours are then assumed. */
  readonly chroma: readonly Triple[] | null;
  /** 95 % half-width (L*) of how far the true patches may lie from these figures together. */
  halfWidth(lightness: number): number;
}

/** Readings of a card as a file holds them: patches by number, from 1, and the bare paper. */
export interface CardReadings {
  readonly paper: Triple | null;
  readonly patches: ReadonlyMap<number, Triple>;
}

/** The readings are not of this card; `message` says why and what to do. */
export class WrongCard extends Error {
  override readonly name = 'WrongCard';
}

/** The patches that a profile speaks of. */
export interface CardPatches {
  readonly patches: readonly PatchMm[];
  readonly chroma: readonly ChromaPatchMm[];
}

/**
 * Half-widths (L*) of how far real prints lie from the nominal card, 95 % of printers; linear between
 * these lightnesses, constant outside.
 */
const PRINTERS: readonly (readonly [lightness: number, halfWidth: number])[] = [
  [16, 9],
  [30, 5],
  [50, 3],
  [95, 3],
];

/** How printers differ: half-width (L*) of the 95 % interval of a nominal print at a lightness (L*), straight between known points. */
export function printerHalfWidth(lightness: number): number {
  const first = PRINTERS[0] as readonly [number, number];
  if (lightness <= first[0]) return first[1];
  for (let i = 1; i < PRINTERS.length; i++) {
    const [l0, w0] = PRINTERS[i - 1] as readonly [number, number];
    const [l1, w1] = PRINTERS[i] as readonly [number, number];
    if (lightness <= l1) return w0 + ((w1 - w0) * (lightness - l0)) / (l1 - l0);
  }
  return (PRINTERS.at(-1) as readonly [number, number])[1];
}

/** What a print reflects when nobody has read it: `ends` are L* of its paper and of its darkest grey. */
export function nominalProfile(card: CardPatches, ends: CardEnds = NOMINAL_CARD): CardProfile {
  return {
    basis: 'nominal',
    paper: [ends.paper, 0, 0],
    greys: card.patches.map((p): Triple => [cardLightness(p.code, ends), 0, 0]),
    chroma: card.chroma.map((p) => cardColour(p.rgb, ends)),
    halfWidth: printerHalfWidth,
  };
}

/** A print this far (L*) from the nominal one, or its greys this far out of order, is another card. */
const MOST_OFF = 22;
const OUT_OF_ORDER = 3;
/** What an instrument's and a paper's own scatter leave of a profile, 95 % half-width, L*. */
const INSTRUMENT_HALF_WIDTH = 0.2;

/** Bare paper where it was not read: carried on from the two lightest greys. */
function paperFrom(card: CardPatches, greys: readonly Triple[]): Triple {
  const byCode = card.patches
    .map((p, i) => ({ y: lightnessToLuminance(cardLightness(p.code)), lab: greys[i] as Triple }))
    .sort((a, b) => b.y - a.y);
  const [first, second] = [byCode[0], byCode.find((p) => p.y < (byCode[0]?.y ?? 0) - 0.05)];
  if (!first || !second) return [NOMINAL_CARD.paper, 0, 0];
  const [y1, y2] = [first, second].map((p) => lightnessToLuminance(p.lab[0])) as [number, number];
  const white = y1 + ((y1 - y2) / (first.y - second.y)) * (lightnessToLuminance(NOMINAL_CARD.paper) - first.y);
  return [luminanceToLightness(white), first.lab[1], first.lab[2]];
}

/**
 * The profile that readings make for the card in a photograph. Throws WrongCard where the readings have
 * patches that it lacks, lack greys that it has, or are far from anything that a printer makes of it.
 */
export function readProfile(card: CardPatches, readings: CardReadings, basis: 'measured' | 'carried'): CardProfile {
  const greys = card.patches.map((_, i) => readings.patches.get(i + 1));
  const missing = greys.flatMap((g, i) => (g ? [] : [i + 1]));
  if (missing.length > 0)
    throw new WrongCard(
      `This profile is of another card: patch ${missing.slice(0, 4).join(', ')} of the sheet ` +
        `${missing.length > 1 ? 'are' : 'is'} not in it. ` +
        `Read all ${card.patches.length} greys of the sheet that was photographed.`,
    );
  const most = card.patches.length + Math.max(card.chroma.length, 10);
  const beyond = [...readings.patches.keys()].find((k) => k > most);
  if (beyond !== undefined)
    throw new WrongCard(
      `This profile is of another card: it has a patch ${beyond}, and the sheet has ${card.patches.length + card.chroma.length}.`,
    );
  const known = greys as Triple[];
  card.patches.forEach((p, i) => {
    const lab = known[i] as Triple;
    if (Math.abs(lab[0] - cardLightness(p.code)) > MOST_OFF)
      throw new WrongCard(
        `This profile is of another card: patch ${i + 1} should be about L* ${Math.round(cardLightness(p.code))} ` +
          `and is ${lab[0].toFixed(1)} in it. Check the order in which the patches were read.`,
      );
    card.patches.forEach((q, k) => {
      if (p.code > q.code && lab[0] < (known[k] as Triple)[0] - OUT_OF_ORDER)
        throw new WrongCard(
          `This profile can’t be right: patch ${i + 1} is printed lighter than patch ${k + 1} and reads darker. ` +
            'Check the order in which the patches were read.',
        );
    });
  });
  const chroma = card.chroma.map((_, i) => readings.patches.get(card.patches.length + i + 1));
  const complete = chroma.every((c) => c !== undefined);
  const extra = basis === 'carried' ? 0.8 : 0;
  return {
    basis,
    paper: readings.paper ?? paperFrom(card, known),
    greys: known,
    chroma: complete ? (chroma as Triple[]) : null,
    halfWidth: () => Math.hypot(INSTRUMENT_HALF_WIDTH, extra),
  };
}
