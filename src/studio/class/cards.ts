/** What a class knows of its printed card: brought in from an instrument, given out again, or read by the practice one. */
import { WrongCard } from '@/core/capture/card-profile';
import type { Side } from '@/core/capture/carry-card';
import type { KnownCard } from '@/core/capture/open-sheet';
import { knownCardOf, storeCard } from '@/core/capture/stored-card';
import { BadCard, formatCardCsv } from '@/core/formats/card-csv';
import { parseCardFile } from '@/core/formats/card-file';
import { formatCgats } from '@/core/formats/cgats';
import { classes } from '@/data/schema/tables';
import { inspectPicture } from '@/workers/decoding/decode';
import { eq } from 'drizzle-orm';
import { classOf, classToChange, NotFound, Refused, type Teacher } from '../access/actor';
import type { House } from '../house';
import type { OwnClass } from '../plan/exercises';

const LIMIT_MS = 60_000;
const today = (): string => new Date().toISOString().slice(0, 10);

/** Keeps the readings of a file for all sheets of the class that are measured from now on. Throws Refused with what is wrong in it. */
export async function bringInCard(house: House, teacher: Teacher, classId: string, text: string): Promise<void> {
  await classToChange(house, teacher, classId);
  try {
    const card = storeCard(parseCardFile(text), 'measured', `read on ${today()}`);
    await house.db.update(classes).set({ card }).where(eq(classes.id, classId));
  } catch (error) {
    if (error instanceof BadCard || error instanceof WrongCard) throw new Refused(error.message);
    throw error;
  }
}

/**
 * Carries what the class knows of its card over to a new print, from a photograph of both side by side; it is then the
 * class's card. Throws UnusablePicture or Refused with what to do, and the card stays as it was.
 */
export async function carryCardOver(
  house: House,
  teacher: Teacher,
  classId: string,
  file: string,
  known: Side,
): Promise<void> {
  const { card } = await classToChange(house, teacher, classId);
  if (!card)
    throw new Refused('Nothing is known of this class’s printed greys yet: bring in readings of a sheet first.');
  await inspectPicture(file);
  const readings = await house.pool.run({ task: 'carry', file, card: knownCardOf(card), known }, { limitMs: LIMIT_MS });
  try {
    await house.db
      .update(classes)
      .set({ card: storeCard(readings, 'carried', `carried over on ${today()}`) })
      .where(eq(classes.id, classId));
  } catch (error) {
    if (error instanceof WrongCard)
      throw new Refused('What was read of the new sheet can’t be right: take the picture once more in even light.');
    throw error;
  }
}

export async function forgetCard(house: House, teacher: Teacher, classId: string): Promise<void> {
  await classToChange(house, teacher, classId);
  await house.db.update(classes).set({ card: null }).where(eq(classes.id, classId));
}

/** What is known of a class's print, as a measurement takes it. */
export const knownPrint = ({
  card,
  pieceLineMm,
}: Pick<OwnClass, 'card' | 'pieceLineMm'>): { card?: KnownCard; lineMm?: number } => ({
  ...(card && { card: knownCardOf(card) }),
  ...(pieceLineMm !== null && { lineMm: pieceLineMm }),
});

/** The readings as a text file. Throws NotFound where the class has none. */
export async function cardFile(house: House, teacher: Teacher, classId: string, as: 'csv' | 'cgats'): Promise<string> {
  const { card } = await classOf(house, teacher, classId);
  if (!card) throw new NotFound();
  const { readings } = knownCardOf(card);
  return as === 'csv' ? formatCardCsv(readings) : formatCgats(readings);
}
