/** The practice reader of the demo: prints a page on a printer of its own and reads patches of it. */
import type { BoxMm } from '@/core/geometry/box';
import type { SheetDrawing } from '@/core/sheet/drawing';
import { print } from '@/devices/printer';
import { readLightness } from '@/devices/reader';
import { sheetToPng } from '@/print/sheet-png';
import { createHash, randomInt } from 'node:crypto';

export interface PracticeReadingTask {
  readonly task: 'practice-reading';
  readonly sheet: SheetDrawing;
  readonly patches: readonly BoxMm[];
  /** Whose printer: the same name is the same machine. */
  readonly printer: string;
}

const DPI = 150;

/** L* of each patch. */
export async function practiceReading(task: PracticeReadingTask): Promise<number[]> {
  const machine = createHash('sha256').update(task.printer).digest().readUInt32BE(0) >>> 1;
  const { surface } = await print(await sheetToPng(task.sheet, DPI), 'office', machine);
  return readLightness(surface, task.patches, randomInt(1, 2 ** 31));
}
