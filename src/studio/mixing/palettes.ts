/** A class's palette in a medium: which paints, the teacher's own figures, logged mixes, and what was learnt of them. */
import type { MediumId } from '@/core/exercise/media';
import { PAINT_IDS, type PaintId, PAINTS } from '@/core/exercise/paints';
import { checkMix, type LoggedMix, loggedMixSchema, NonsenseMix } from '@/core/mixing/logged-mix';
import { type Figures, paletteOf, type Parts } from '@/core/mixing/paint-model';
import { figuresSchema, type StoredFit } from '@/core/mixing/stored-fit';
import { SURFACE_OF } from '@/core/mixing/surface';
import { newId } from '@/data/schema/ids';
import { classes, mixes, palettes } from '@/data/schema/tables';
import { and, asc, eq } from 'drizzle-orm';
import { z } from 'zod';
import { classOf, classToChange, NotFound, Refused, type Teacher } from '../access/actor';
import { isSame, isToWrite } from '../access/meanwhile';
import type { House } from '../house';

export interface LoggedRow {
  readonly id: string;
  readonly mix: LoggedMix;
  readonly source: 'hand' | 'photograph';
}

export interface ClassPalette {
  readonly medium: MediumId;
  readonly paints: readonly PaintId[];
  readonly figures: Figures;
  readonly fit: StoredFit | null;
  readonly mixes: readonly LoggedRow[];
  readonly written: number;
}

/** What a teacher sets of a palette; the rest is learnt. */
export type SetPalette = Pick<ClassPalette, 'paints' | 'figures'>;

const USUAL_PAINTS: readonly PaintId[] = ['titanium-white', 'ivory-black'];
const MOST_PAINTS = 12;
const MOST_MIXES = 200;

const paintsSchema = z
  .array(z.enum(PAINT_IDS))
  .min(2, 'A palette needs at least two paints: a light and a dark one.')
  .max(MOST_PAINTS, `A palette holds ${MOST_PAINTS} paints at most.`)
  .refine((ids) => new Set(ids).size === ids.length, 'Each paint stands once on a palette.');

const at = (classId: string, medium: MediumId) => and(eq(palettes.classId, classId), eq(palettes.medium, medium));
const mixesAt = (classId: string, medium: MediumId) => and(eq(mixes.classId, classId), eq(mixes.medium, medium));

/** As the class has it; the usual white and black where nothing was set yet. */
export async function classPalette(house: Pick<House, 'db'>, classId: string, medium: MediumId): Promise<ClassPalette> {
  const [row] = await house.db.select().from(palettes).where(at(classId, medium));
  const logged = await house.db
    .select()
    .from(mixes)
    .where(mixesAt(classId, medium))
    .orderBy(asc(mixes.createdAt), asc(mixes.id));
  return {
    medium,
    paints: row?.paints ?? USUAL_PAINTS,
    figures: row?.figures ?? {},
    fit: row?.fit ?? null,
    mixes: logged.map(({ id, mix, source }) => ({ id, mix, source })),
    written: row?.written ?? 0,
  };
}

export async function paletteFor(
  house: House,
  teacher: Teacher,
  classId: string,
  medium: MediumId,
): Promise<ClassPalette> {
  await classOf(house, teacher, classId);
  return classPalette(house, classId, medium);
}

/** The paints of a class and what it knows of them: learnt, else set, else the catalogue's. */
export async function paintsFor(
  house: House,
  classId: string,
  medium: MediumId,
): Promise<{ readonly paints: readonly PaintId[]; readonly figures: Figures }> {
  const [row] = await house.db.select().from(palettes).where(at(classId, medium));
  return { paints: row?.paints ?? USUAL_PAINTS, figures: { ...row?.figures, ...row?.fit?.figures } };
}

export const figuresFor = async (house: House, classId: string, medium: MediumId): Promise<Figures> =>
  (await paintsFor(house, classId, medium)).figures;

/** What the mixes of a palette teach of its paints; null before the first. */
async function learnt(house: House, { paints, figures, medium, mixes: logged }: ClassPalette) {
  const used = logged
    .filter(({ mix }) => Object.keys(mix.parts).every((p) => paints.includes(p as PaintId)))
    .map((m) => m.mix);
  if (used.length === 0) return null;
  return house.pool.run({ task: 'fit', paints: [...paints], mixes: used, medium, start: figures });
}

const setIn = ({ paints, figures }: SetPalette): SetPalette => ({ paints, figures });

/**
 * Keeps a change of a palette with what follows from it. What is learnt takes a while: where a mix was logged meanwhile, it is
 * learnt anew.
 *
 * @throws ChangedMeanwhile where somebody else set it otherwise since.
 */
async function keep(
  house: House,
  classId: string,
  medium: MediumId,
  change: Partial<SetPalette>,
  seen: number | null,
): Promise<number> {
  for (;;) {
    const now = await classPalette(house, classId, medium);
    const next = { ...now, ...change };
    if (change.paints) checkPaints(next.paints, now);
    const own = setIn(next);
    const isNew = isToWrite(own, { theirs: setIn(now), written: now.written }, seen);
    const fit = await learnt(house, next);
    const written = now.written + (isNew ? 1 : 0);
    const row = { paints: [...next.paints], figures: next.figures, fit, written };
    const kept = await house.db.transaction(async (tx) => {
      await tx.select({ id: classes.id }).from(classes).where(eq(classes.id, classId)).for('update');
      const then = await classPalette({ db: tx }, classId, medium);
      if (!isSame(then, now)) return false;
      await tx
        .insert(palettes)
        .values({ classId, medium, ...row })
        .onConflictDoUpdate({ target: [palettes.classId, palettes.medium], set: row });
      return true;
    });
    if (kept) return written;
  }
}

/** Throws Refused where paints would go that logged mixes hold. */
function checkPaints(paints: readonly PaintId[], { mixes: logged }: ClassPalette): void {
  const held = new Set(logged.flatMap((m) => Object.keys(m.mix.parts) as PaintId[]));
  const missing = [...held].filter((p) => !paints.includes(p));
  if (missing.length > 0)
    throw new Refused(
      `${missing.map((p) => PAINTS[p].name).join(', ')}: mixes with it are logged. Take those mixes out first, or keep the paint.`,
    );
}

/**
 * Sets paints, the teacher's own figures for some of them, or both; figures that are left out go back to the catalogue's.
 * Returns how often the palette was written.
 *
 * @param seen - how often it had been written when the teacher looked at it; null where that does not matter.
 * @throws ChangedMeanwhile where somebody else set it otherwise since; Refused where mixes hold a paint that would go.
 */
export async function setPalette(
  house: House,
  teacher: Teacher,
  classId: string,
  medium: MediumId,
  given: Partial<SetPalette>,
  seen: number | null,
): Promise<number> {
  await classToChange(house, teacher, classId);
  const change = {
    ...(given.paints && { paints: paintsSchema.parse(given.paints) }),
    ...(given.figures && { figures: figuresSchema.parse(given.figures) }),
  };
  return keep(house, classId, medium, change, seen);
}

/** Logs a mix and learns from it. Throws Refused for nonsense, with why. */
export async function logMix(
  house: House,
  classId: string,
  medium: MediumId,
  given: LoggedMix,
  source: LoggedRow['source'],
): Promise<void> {
  const mix = loggedMixSchema.parse(given);
  const now = await classPalette(house, classId, medium);
  if (now.mixes.length >= MOST_MIXES)
    throw new Refused(`There are ${MOST_MIXES} mixes logged: take old ones out first.`);
  try {
    checkMix(
      mix,
      now.mixes.map((m) => m.mix),
      paletteOf(now.paints, now.figures),
      SURFACE_OF[medium],
    );
  } catch (error) {
    if (error instanceof NonsenseMix) throw new Refused(error.message);
    throw error;
  }
  await house.db.insert(mixes).values({ id: newId(), classId, medium, mix, source });
  await keep(house, classId, medium, {}, null);
}

export async function logMixByHand(
  house: House,
  teacher: Teacher,
  classId: string,
  medium: MediumId,
  given: LoggedMix,
): Promise<void> {
  await classToChange(house, teacher, classId);
  await logMix(house, classId, medium, given, 'hand');
}

export async function takeOutMix(house: House, teacher: Teacher, classId: string, mixId: string): Promise<void> {
  await classToChange(house, teacher, classId);
  const [gone] = await house.db
    .delete(mixes)
    .where(and(eq(mixes.id, mixId), eq(mixes.classId, classId)))
    .returning();
  if (!gone) throw new NotFound();
  await keep(house, classId, gone.medium, {}, null);
}

/** What to mix first, before anything was logged; null where nothing can be gained. */
export async function firstAsk(house: House, palette: ClassPalette): Promise<Parts | null> {
  const { paints, figures, medium } = palette;
  const { ask } = await house.pool.run({ task: 'fit', paints, mixes: [], medium, start: figures });
  return ask;
}
