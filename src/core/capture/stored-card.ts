/** What is known of a class's printed cards, as it is kept; and the same for corner pieces, which print the same greys. */
import { z } from 'zod';
import type { Triple } from '../colour/srgb';
import { PIECES } from '../sheet/bracket-pieces';
import { chromaRow } from '../sheet/chroma';
import { sheetFrame } from '../sheet/frame';
import { type CardReadings, readProfile } from './card-profile';
import { labSchema } from './lab-schema';
import type { KnownCard } from './open-sheet';

export const storedCardSchema = z.object({
  basis: z.enum(['measured', 'carried']),
  /** What the file was called. */
  name: z.string().max(200),
  paper: labSchema.readonly().nullable(),
  patches: z.array(z.tuple([z.number().int().min(1), labSchema.readonly()])),
});
export type StoredCard = z.infer<typeof storedCardSchema>;

/** The card of every worksheet: its greys are the same on both papers. */
const sheetCards = () => {
  const frame = sheetFrame('a4');
  return { patches: frame.patches, chroma: chromaRow(frame.chromaticRow) };
};

/** Keeps readings of a worksheet's card. Throws WrongCard where they are of something else. */
export function storeCard(readings: CardReadings, basis: StoredCard['basis'], name: string): StoredCard {
  readProfile(sheetCards(), readings, basis);
  return { basis, name, paper: readings.paper, patches: [...readings.patches].map(([k, lab]) => [k, lab]) };
}

/** A stored card as a measurement takes it. */
export function knownCardOf({ basis, paper, patches }: StoredCard): KnownCard {
  return { basis, readings: { paper, patches: new Map(patches) } };
}

/** What a worksheet's card says of the corner pieces' greys, which are some of the same codes. */
export function cardOfPieces({ basis, readings }: KnownCard): KnownCard {
  const { patches } = sheetCards();
  const byCode = new Map<number, Triple[]>();
  patches.forEach((p, i) => {
    const lab = readings.patches.get(i + 1);
    if (lab) byCode.set(p.code, [...(byCode.get(p.code) ?? []), lab]);
  });
  const mean = (labs: readonly Triple[]): Triple =>
    [0, 1, 2].map((c) => labs.reduce((s, l) => s + (l[c] ?? 0), 0) / labs.length) as unknown as Triple;
  const pieces = PIECES.flatMap((p) => p.patches).flatMap((p, i) => {
    const labs = byCode.get(p.code);
    return labs ? [[i + 1, mean(labs)] as const] : [];
  });
  return { basis, readings: { paper: readings.paper, patches: new Map(pieces) } };
}
