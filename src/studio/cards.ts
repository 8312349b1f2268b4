/** What a class knows of its printed card: brought in from an instrument, given out again, or read by the practice one. */
import { eq } from 'drizzle-orm';
import { WrongCard } from '@/core/capture/card-profile';
import { knownCardOf, storeCard } from '@/core/capture/stored-card';
import { BadCard, formatCardCsv } from '@/core/formats/card-csv';
import { parseCardFile } from '@/core/formats/card-file';
import { formatCgats } from '@/core/formats/cgats';
import { classes } from '@/data/schema';
import { classOf, NotFound, Refused, type Teacher } from './actor';
import type { House } from './house';

/** Keeps the readings of a file for all sheets of the class that are measured from now on. Throws Refused with what is wrong in it. */
export async function bringInCard(house: House, teacher: Teacher, classId: string, text: string): Promise<void> {
  await classOf(house, teacher, classId);
  try {
    const card = storeCard(parseCardFile(text), 'measured', `read on ${new Date().toISOString().slice(0, 10)}`);
    await house.db.update(classes).set({ card }).where(eq(classes.id, classId));
  } catch (error) {
    if (error instanceof BadCard || error instanceof WrongCard) throw new Refused(error.message);
    throw error;
  }
}

export async function forgetCard(house: House, teacher: Teacher, classId: string): Promise<void> {
  await classOf(house, teacher, classId);
  await house.db.update(classes).set({ card: null }).where(eq(classes.id, classId));
}

/** The readings as a text file. Throws NotFound where the class has none. */
export async function cardFile(house: House, teacher: Teacher, classId: string, as: 'csv' | 'cgats'): Promise<string> {
  const { card } = await classOf(house, teacher, classId);
  if (!card) throw new NotFound();
  const { readings } = knownCardOf(card);
  return as === 'csv' ? formatCardCsv(readings) : formatCgats(readings);
}
