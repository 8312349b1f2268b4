'use server';
import { MEDIUM_IDS, type MediumId } from '@/core/exercise/media';
import { PAINT_IDS, type PaintId } from '@/core/exercise/paints';
import { type LoggedMix, loggedMixSchema } from '@/core/mixing/logged-mix';
import type { Figures } from '@/core/mixing/paint-model';
import { figuresSchema } from '@/core/mixing/stored-fit';
import {
  choosePaints,
  importPalette,
  logMixByHand,
  type NearestMix,
  nearestMixes,
  setFigures,
  takeOutMix,
} from '@/studio/mixing/palettes';
import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { teacherOnly } from '../../access';
import { outcome, type Outcome } from '../../outcome';

const idSchema = z.string().max(40);
const mediumSchema = z.enum(MEDIUM_IDS);
const fileSchema = z.string().max(200_000, 'This file is too long for a palette.');

async function act<T>(work: (at: Awaited<ReturnType<typeof teacherOnly>>) => Promise<T>): Promise<Outcome<T>> {
  const at = await teacherOnly();
  const done = await outcome(() => work(at));
  revalidatePath('/palette');
  return done;
}

export async function choose(classId: string, medium: MediumId, paints: readonly PaintId[]): Promise<Outcome<void>> {
  return act(({ house, teacher }) =>
    choosePaints(
      house,
      teacher,
      idSchema.parse(classId),
      mediumSchema.parse(medium),
      z.array(z.enum(PAINT_IDS)).parse(paints),
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
export async function figure(classId: string, medium: MediumId, figures: Figures): Promise<Outcome<void>> {
  return act(({ house, teacher }) =>
    setFigures(house, teacher, idSchema.parse(classId), mediumSchema.parse(medium), figuresSchema.parse(figures)),
  );
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
