/** Mixes that were made and read: what a studio's own paints are learnt from. */
import { z } from 'zod';
import type { Triple } from '../colour/srgb';
import { PAINT_IDS, type PaintId, PAINTS } from '../exercise/paints';
import { coveringLab, isWhite, mixModel, type Palette, type Parts } from './paint-model';
import type { SurfaceId } from './surface';

const amount = z
  .number({ error: 'Parts are numbers.' })
  .min(0, 'Parts can’t be negative.')
  .max(1000, 'Give parts of 1000 at most.');

export const partsSchema = z
  .partialRecord(z.enum(PAINT_IDS), amount)
  .refine((parts) => Object.values(parts).some((n) => (n ?? 0) > 0), 'A mix needs at least one part of something.');

/** What was read: lightness alone by eye and value finder, colour too from a photograph or an instrument. */
const readingShape = {
  lightness: z
    .number({ error: 'Give the lightness as a number.' })
    .min(0, 'Lightness (L*) is 0 to 100.')
    .max(100, 'Lightness (L*) is 0 to 100.'),
  a: z.number().min(-128).max(128).nullable(),
  b: z.number().min(-128).max(128).nullable(),
};

export const loggedMixSchema = z.object({
  parts: partsSchema,
  ...readingShape,
  wet: z.boolean(),
  /** Standard deviation of the reading, L*. */
  noise: z.number().min(0.1).max(10),
});
export type LoggedMix = z.infer<typeof loggedMixSchema>;

/** Readings by hand are taken to be good to this, L*. */
export const HAND_NOISE = 1;

/** What was logged can't be a mix of these paints; `message` says why. */
export class NonsenseMix extends Error {
  override readonly name = 'NonsenseMix';
}

/** The same mix read this much apart (L*) is a slip, not a spread. */
const SAME_MIX_APART = 5;
/** A reading may pass the lightest and darkest paint by this, L*: paints differ, whites little. */
const BEYOND = { white: 1.5, other: 6 } as const;

/** Parts, none of them negative, as small numbers that a person can measure out: the smallest is one. */
export function asParts(parts: Parts): Partial<Record<PaintId, number>> {
  const given = (Object.entries(parts) as [PaintId, number][]).filter(([, n]) => n > 0);
  const least = Math.min(...given.map(([, n]) => n));
  return Object.fromEntries(given.map(([p, n]) => [p, Number((n / least).toFixed(n / least < 10 ? 1 : 0))]));
}

/** Parts as shares, so that 1 : 2 and 2 : 4 are the same mix. */
export function sharesOf(parts: Parts): Parts {
  const sum = Object.values(parts).reduce((a, n) => a + (n ?? 0), 0);
  return Object.fromEntries(
    (Object.entries(parts) as [PaintId, number][]).filter(([, n]) => n > 0).map(([id, n]) => [id, n / sum]),
  );
}

/** Whether two mixes hold the same paints in the same shares. */
export function sameMix(first: Parts, second: Parts): boolean {
  const [a, b] = [sharesOf(first), sharesOf(second)];
  const ids = new Set([...Object.keys(a), ...Object.keys(b)] as PaintId[]);
  return [...ids].every((id) => Math.abs((a[id] ?? 0) - (b[id] ?? 0)) < 1e-3);
}

export const sayParts = (parts: Parts): string =>
  (Object.entries(parts) as [PaintId, number][])
    .filter(([, n]) => n > 0)
    .map(([id, n]) => `${Number(n.toFixed(2))} ${PAINTS[id].name}`)
    .join(' : ');

/**
 * Checks a new reading against the paints and what was logged before. Throws NonsenseMix with what does not hold and
 * what to do.
 */
export function checkMix(mix: LoggedMix, before: readonly LoggedMix[], palette: Palette, surface: SurfaceId): void {
  const used = (Object.entries(mix.parts) as [PaintId, number][]).filter(([, n]) => n > 0).map(([id]) => id);
  for (const id of used)
    if (!palette.has(id)) throw new NonsenseMix(`${PAINTS[id].name} is not on this palette: add it first.`);
  if (!mix.wet) {
    const all = used.map((id) => coveringLab(mixModel(palette, { [id]: 1 }), surface)[0]);
    const [light, dark] = [Math.max(...all), Math.min(...all)];
    if (mix.lightness > light + (used.some(isWhite) ? BEYOND.white : BEYOND.other))
      throw new NonsenseMix(
        `L* ${mix.lightness.toFixed(0)} is lighter than the lightest paint in it can be (about ${light.toFixed(0)}): read it again, with no shine on it.`,
      );
    if (mix.lightness < dark - BEYOND.other)
      throw new NonsenseMix(
        `L* ${mix.lightness.toFixed(0)} is darker than the darkest paint in it can be (about ${dark.toFixed(0)}): read it again.`,
      );
  }
  const twin = before.find(
    (b) => b.wet === mix.wet && sameMix(b.parts, mix.parts) && Math.abs(b.lightness - mix.lightness) > SAME_MIX_APART,
  );
  if (twin)
    throw new NonsenseMix(
      `The same mix was read as L* ${twin.lightness.toFixed(0)} before and ${mix.lightness.toFixed(0)} now: ` +
        'one of them is a slip. Take the wrong one out, or read again.',
    );
}

/** The reading as a colour; null where only the lightness is known. */
export const readColour = (mix: LoggedMix): Triple | null =>
  mix.a === null || mix.b === null ? null : [mix.lightness, mix.a, mix.b];
