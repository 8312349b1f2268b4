/** Value finders: printers, what was read of them, and the bars that come of it. */
import { stepLabels } from '@/core/exercise/numbering';
import { defaultScale } from '@/core/exercise/scale';
import { targetLightnesses } from '@/core/exercise/targets';
import { chartPatches, drawChart, drawFinder, finderBars } from '@/core/finder/finder-sheet';
import { barsFor, printerCurve } from '@/core/finder/printer-curve';
import { BadReadings, parseReadings, type Reading } from '@/core/formats/readings-csv';
import type { SheetDrawing } from '@/core/sheet/drawing';
import type { PaperId } from '@/core/sheet/paper';
import { newId } from '@/data/schema/ids';
import { printers } from '@/data/schema/tables';
import { and, asc, eq } from 'drizzle-orm';
import { classOf, NotFound, Refused, type Teacher } from '../access/actor';
import type { House } from '../house';
import { nameSchema } from '../words';

export const printersOf = (house: House, teacher: Teacher) =>
  house.db.select().from(printers).where(eq(printers.teacherId, teacher.userId)).orderBy(asc(printers.createdAt));

export async function addPrinter(house: House, teacher: Teacher, name: string): Promise<string> {
  const id = newId();
  await house.db.insert(printers).values({ id, teacherId: teacher.userId, name: nameSchema.parse(name), readings: [] });
  return id;
}

async function printerFor(house: House, teacher: Teacher, printerId: string) {
  const [row] = await house.db
    .select()
    .from(printers)
    .where(and(eq(printers.id, printerId), eq(printers.teacherId, teacher.userId)));
  if (!row) throw new NotFound();
  return row;
}

/** Adds readings of the chart, or of bars already printed. Throws Refused where they don't fit what was read before. */
export async function addReadings(
  house: House,
  teacher: Teacher,
  printerId: string,
  fresh: readonly Reading[],
): Promise<void> {
  await printerFor(house, teacher, printerId);
  await house.db.transaction(async (tx) => {
    const own = eq(printers.id, printerId);
    // Two who read at once are both kept.
    const [printer] = await tx.select().from(printers).where(own).for('update');
    if (!printer) throw new NotFound();
    const readings = [...printer.readings, ...fresh];
    try {
      printerCurve(readings);
    } catch (error) {
      if (error instanceof BadReadings) throw new Refused(error.message);
      throw error;
    }
    await tx.update(printers).set({ readings }).where(own);
  });
}

export async function importReadings(house: House, teacher: Teacher, printerId: string, csv: string): Promise<void> {
  let fresh: Reading[];
  try {
    fresh = parseReadings(csv);
  } catch (error) {
    if (error instanceof BadReadings) throw new Refused(error.message);
    throw error;
  }
  await addReadings(house, teacher, printerId, fresh);
}

export async function forgetReadings(house: House, teacher: Teacher, printerId: string): Promise<void> {
  await printerFor(house, teacher, printerId);
  await house.db.update(printers).set({ readings: [] }).where(eq(printers.id, printerId));
}

/** The finder of a class on a printer, with what was last read of its bars. Throws Refused before a chart was read. */
export async function finderFor(
  house: House,
  teacher: Teacher,
  printerId: string,
  classId: string,
  steps: number,
  paper: PaperId,
) {
  const printer = await printerFor(house, teacher, printerId);
  const own = await classOf(house, teacher, classId);
  if (printer.readings.length === 0)
    throw new Refused('Print the chart and read it first: without it nobody knows what this printer makes of a grey.');
  const scale = { ...defaultScale('acrylic', steps), paper };
  const targets = targetLightnesses(steps, scale.ends, scale.order, scale.spacing);
  const bars = barsFor(printerCurve(printer.readings), targets);
  const errors = bars.map((bar) => {
    const read = printer.readings.filter((r) => r.code === bar.code);
    return read.length === 0 ? null : read.reduce((sum, r) => sum + r.lightness, 0) / read.length - bar.target;
  });
  return { bars, errors, drawing: drawFinder(bars, stepLabels(own.numbering, scale), errors, paper) };
}

/** In the demo the studio's own reader stands in for an instrument: it prints and reads the chart, or the finder's bars. */
export async function practiceReading(
  house: House,
  teacher: Teacher,
  printerId: string,
  what: { readonly classId: string; readonly steps: number } | null,
): Promise<void> {
  if (!house.settings.demo) throw new NotFound();
  await printerFor(house, teacher, printerId);
  const paper: PaperId = 'a4';
  let page: {
    drawing: SheetDrawing;
    patches: readonly { xMm: number; yMm: number; widthMm: number; heightMm: number }[];
    codes: readonly number[];
  };
  if (what) {
    const { bars, drawing } = await finderFor(house, teacher, printerId, what.classId, what.steps, paper);
    page = { drawing, patches: finderBars(bars.length, paper), codes: bars.map((b) => b.code) };
  } else {
    const patches = chartPatches();
    page = { drawing: drawChart(paper), patches, codes: patches.map((p) => p.code) };
  }
  const lightness = await house.pool.run({
    task: 'practice-reading',
    sheet: page.drawing,
    patches: page.patches,
    printer: printerId,
  });
  await addReadings(
    house,
    teacher,
    printerId,
    page.codes.map((code, i) => ({ code, lightness: lightness[i] ?? 0 })),
  );
}
