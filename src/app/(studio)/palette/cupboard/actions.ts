'use server';
import { stepsSchema } from '@/core/exercise/scale';
import { BadShelf } from '@/core/formats/shelf-csv';
import { type ShelfItem, STORED_IDS } from '@/core/planning/quantities';
import { Refused } from '@/studio/access/actor';
import { addPrinter, forgetReadings, importReadings, practiceReading } from '@/studio/mixing/finders';
import { importShelf, putOnShelf } from '@/studio/mixing/shelf';
import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { teacherOnly } from '../../../access';
import { outcome, type Outcome } from '../../../outcome';

const PAGE = '/palette/cupboard';
const csvSchema = z.string().max(200_000, 'This file is too long for a list of paints or readings.');

async function done(work: () => Promise<unknown>): Promise<Outcome> {
  const answer = await outcome(async () => {
    await work();
    return null;
  });
  revalidatePath(PAGE);
  return answer;
}

export async function keepItem(paint: string, item: ShelfItem): Promise<Outcome> {
  const { house, teacher } = await teacherOnly();
  return done(() => putOnShelf(house, teacher, z.enum(STORED_IDS).parse(paint), item));
}

export async function readShelf(csv: string): Promise<Outcome> {
  const { house, teacher } = await teacherOnly();
  return done(async () => {
    try {
      await importShelf(house, teacher, csvSchema.parse(csv));
    } catch (error) {
      if (error instanceof BadShelf) throw new Refused(error.message);
      throw error;
    }
  });
}

export async function makePrinter(name: string): Promise<Outcome<string>> {
  const { house, teacher } = await teacherOnly();
  const answer = await outcome(async () => {
    await addPrinter(house, teacher, name);
    return '';
  });
  revalidatePath(PAGE);
  return answer;
}

export async function readPrinter(printerId: string, csv: string): Promise<Outcome> {
  const { house, teacher } = await teacherOnly();
  return done(() => importReadings(house, teacher, printerId, csvSchema.parse(csv)));
}

export async function clearPrinter(printerId: string): Promise<Outcome> {
  const { house, teacher } = await teacherOnly();
  return done(() => forgetReadings(house, teacher, printerId));
}

export async function practise(printerId: string, classId: string | null, steps: number): Promise<Outcome> {
  const { house, teacher } = await teacherOnly();
  return done(() =>
    practiceReading(house, teacher, printerId, classId === null ? null : { classId, steps: stepsSchema.parse(steps) }),
  );
}
