/** A class's palette in a medium: which paints, the teacher's own figures, logged mixes, and what was learnt of them. */
import { MEDIA, type MediumId } from '@/core/exercise/media';
import { PAINT_IDS, type PaintId, PAINTS } from '@/core/exercise/paints';
import { BadPalette, formatPalette, type PaletteRow, parsePalette } from '@/core/formats/palette-csv';
import { BadSwatches, formatGpl, gplColours, parseGpl, type Swatch, swatchLab } from '@/core/formats/palette-gpl';
import { greySet } from '@/core/mixing/grey-set';
import { checkMix, type LoggedMix, loggedMixSchema, NonsenseMix } from '@/core/mixing/logged-mix';
import { coveringLab, type Figures, figuresOf, mixModel, paletteOf, type Parts } from '@/core/mixing/paint-model';
import { figuresSchema, type StoredFit } from '@/core/mixing/stored-fit';
import { SURFACE_OF } from '@/core/mixing/surface';
import { newId } from '@/data/schema/ids';
import { mixes, palettes } from '@/data/schema/tables';
import { and, asc, eq } from 'drizzle-orm';
import { z } from 'zod';
import { classOf, NotFound, Refused, type Teacher } from '../access/actor';
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
}

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
export async function classPalette(house: House, classId: string, medium: MediumId): Promise<ClassPalette> {
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

/** What the class knows of its paints: learnt, else set, else the catalogue's. */
export async function figuresFor(house: House, classId: string, medium: MediumId): Promise<Figures> {
  const [row] = await house.db.select().from(palettes).where(at(classId, medium));
  return { ...row?.figures, ...row?.fit?.figures };
}

async function keep(
  house: House,
  classId: string,
  medium: MediumId,
  change: Partial<Pick<ClassPalette, 'paints' | 'figures'>>,
): Promise<void> {
  const now = await classPalette(house, classId, medium);
  const paints = [...(change.paints ?? now.paints)];
  const figures = change.figures ?? now.figures;
  const used = now.mixes
    .filter(({ mix }) => Object.keys(mix.parts).every((p) => paints.includes(p as PaintId)))
    .map((m) => m.mix);
  const fit =
    used.length === 0 ? null : await house.pool.run({ task: 'fit', paints, mixes: used, medium, start: figures });
  await house.db
    .insert(palettes)
    .values({ classId, medium, paints, figures, fit })
    .onConflictDoUpdate({ target: [palettes.classId, palettes.medium], set: { paints, figures, fit } });
}

export async function choosePaints(
  house: House,
  teacher: Teacher,
  classId: string,
  medium: MediumId,
  given: readonly PaintId[],
): Promise<void> {
  await classOf(house, teacher, classId);
  const paints = paintsSchema.parse(given);
  const { mixes: logged } = await classPalette(house, classId, medium);
  const missing = [...new Set(logged.flatMap((m) => Object.keys(m.mix.parts) as PaintId[]))].filter(
    (p) => !paints.includes(p),
  );
  if (missing.length > 0)
    throw new Refused(
      `${missing.map((p) => PAINTS[p].name).join(', ')}: mixes with it are logged. Take those mixes out first, or keep the paint.`,
    );
  await keep(house, classId, medium, { paints });
}

/** The teacher's own figures for some paints; those left out go back to the catalogue's. */
export async function setFigures(
  house: House,
  teacher: Teacher,
  classId: string,
  medium: MediumId,
  given: Figures,
): Promise<void> {
  await classOf(house, teacher, classId);
  await keep(house, classId, medium, { figures: figuresSchema.parse(given) });
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
  await keep(house, classId, medium, {});
}

export async function logMixByHand(
  house: House,
  teacher: Teacher,
  classId: string,
  medium: MediumId,
  given: LoggedMix,
): Promise<void> {
  await classOf(house, teacher, classId);
  await logMix(house, classId, medium, given, 'hand');
}

export async function takeOutMix(house: House, teacher: Teacher, classId: string, mixId: string): Promise<void> {
  await classOf(house, teacher, classId);
  const [gone] = await house.db
    .delete(mixes)
    .where(and(eq(mixes.id, mixId), eq(mixes.classId, classId)))
    .returning();
  if (!gone) throw new NotFound();
  await keep(house, classId, gone.medium, {});
}

/** What to mix first, before anything was logged; null where nothing can be gained. */
export async function firstAsk(house: House, palette: ClassPalette): Promise<Parts | null> {
  const { paints, figures, medium } = palette;
  const { ask } = await house.pool.run({ task: 'fit', paints, mixes: [], medium, start: figures });
  return ask;
}

/** A palette as rows of paints with their figures, learnt or not. */
export function rowsOf(palette: ClassPalette): PaletteRow[] {
  return palette.paints.map((paint) => ({
    paint,
    ...figuresOf(paint, { ...palette.figures, ...palette.fit?.figures }),
  }));
}

export const paletteCsv = (palette: ClassPalette): string => formatPalette(rowsOf(palette));

/** The paints and their nine greys, as swatches for other programs. */
export function paletteGpl(palette: ClassPalette, className: string): string {
  const figures = { ...palette.figures, ...palette.fit?.figures };
  const models = paletteOf(palette.paints, figures);
  const surface = SURFACE_OF[palette.medium];
  const paints = palette.paints.map((p) => ({
    name: PAINTS[p].name,
    lab: coveringLab(mixModel(models, { [p]: 1 }), surface),
  }));
  const greys = greySet(palette.paints, figures, palette.medium).map((parts, i) => ({
    name: `grey ${i + 1}`,
    lab: coveringLab(mixModel(models, parts), surface),
  }));
  return formatGpl(`${className}, ${MEDIA[palette.medium].name}`, gplColours([...paints, ...greys]));
}

/** Takes in paints with their figures, whole or not at all. */
export async function importPalette(
  house: House,
  teacher: Teacher,
  classId: string,
  medium: MediumId,
  csv: string,
): Promise<void> {
  await classOf(house, teacher, classId);
  let rows: PaletteRow[];
  try {
    rows = parsePalette(csv);
  } catch (error) {
    if (error instanceof BadPalette) throw new Refused(error.message);
    throw error;
  }
  const paints = paintsSchema.parse(rows.map((r) => r.paint));
  await choosePaints(house, teacher, classId, medium, paints);
  await setFigures(
    house,
    teacher,
    classId,
    medium,
    Object.fromEntries(rows.map(({ paint, massTone, tinting }) => [paint, { massTone, tinting }])),
  );
}

export interface NearestMix {
  readonly swatch: Swatch;
  readonly parts: Parts;
  /** CIEDE2000 between the swatch and the nearest mix. */
  readonly off: number;
}

/** The mixes of a class's paints that come nearest to the colours of a file. Throws Refused. */
export async function nearestMixes(
  house: House,
  teacher: Teacher,
  classId: string,
  medium: MediumId,
  gpl: string,
): Promise<NearestMix[]> {
  const own = await paletteFor(house, teacher, classId, medium);
  let swatches: Swatch[];
  try {
    swatches = parseGpl(gpl);
  } catch (error) {
    if (error instanceof BadSwatches) throw new Refused(error.message);
    throw error;
  }
  const found = await house.pool.run({
    task: 'nearest',
    paints: own.paints,
    figures: { ...own.figures, ...own.fit?.figures },
    medium,
    wanted: swatches.map(swatchLab),
  });
  return swatches.flatMap((swatch, i) => (found[i] ? [{ swatch, ...found[i] }] : []));
}
