'use server';
import { MEDIUM_IDS, type MediumId } from '@/core/exercise/media';
import { PAINT_IDS } from '@/core/exercise/paints';
import { type LoggedMix, loggedMixSchema } from '@/core/mixing/logged-mix';
import { figuresSchema } from '@/core/mixing/stored-fit';
import { importPalette, type NearestMix, nearestMixes } from '@/studio/mixing/palette-files';
import { logMixByHand, setPalette, type SetPalette, takeOutMix } from '@/studio/mixing/palettes';
import { seenSchema } from '@/studio/access/meanwhile';
import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { teacherOnly } from '../../access';
import { outcome, type Outcome } from '../../outcome';

const idSchema = z.string().max(40);
const mediumSchema = z.enum(MEDIUM_IDS);
const fileSchema = z.string().max(200_000, 'This file is too long for a palette.');

const changeSchema = z.object({ paints: z.array(z.enum(PAINT_IDS)).optional(), figures: figuresSchema.optional() });

async function act<T, Theirs = unknown>(
  work: (at: Awaited<ReturnType<typeof teacherOnly>>) => Promise<T>,
): Promise<Outcome<T, Theirs>> {
  const at = await teacherOnly();
  const done = await outcome<T, Theirs>(() => work(at));
  revalidatePath('/palette');
  return done;
}

export async function setOnPalette(
  classId: string,
  medium: MediumId,
  change: Partial<SetPalette>,
  seen: number,
): Promise<Outcome<number, SetPalette>> {
  return act(({ house, teacher }) =>
    setPalette(
      house,
      teacher,
      idSchema.parse(classId),
      mediumSchema.parse(medium),
      changeSchema.parse(change),
      seenSchema.parse(seen),
    ),
  );
}
export async function logged(classId: string, medium: MediumId, mix: LoggedMix): Promise<Outcome<void>> {
  return act(({ house, teacher }) =>
    logMixByHand(house, teacher, idSchema.parse(classId), mediumSchema.parse(medium), loggedMixSchema.parse(mix)),
  );
}
export async function takenOut(classId: string, mixId: string): Promise<Outcome<void>> {
  return act(({ house, teacher }) => takeOutMix(house, teacher, idSchema.parse(classId), idSchema.parse(mixId)));
}
export async function bringInFigures(classId: string, medium: MediumId, csv: string): Promise<Outcome<void>> {
  return act(({ house, teacher }) =>
    importPalette(house, teacher, idSchema.parse(classId), mediumSchema.parse(medium), fileSchema.parse(csv)),
  );
}
export async function bringInSwatches(classId: string, medium: MediumId, gpl: string): Promise<Outcome<NearestMix[]>> {
  return act(({ house, teacher }) =>
    nearestMixes(house, teacher, idSchema.parse(classId), mediumSchema.parse(medium), fileSchema.parse(gpl)),
  );
}
