/** A sheet into the file that was asked for, PDF or PNG by its ending. */
import type { SheetDrawing } from '@/core/sheet/drawing';
import { sheetsToPdf } from '@/print/sheet-pdf';
import { sheetToPng } from '@/print/sheet-png';
import { writeFile } from 'node:fs/promises';
import { BadArguments, callerPath } from './arguments';

export async function writeSheet(sheet: SheetDrawing, file: string, dpi: number): Promise<void> {
  const out = callerPath(file);
  const ending = out.toLowerCase().split('.').at(-1);
  if (ending !== 'pdf' && ending !== 'png') throw new BadArguments('--out must end in .pdf or .png.');
  await writeFile(out, ending === 'pdf' ? await sheetsToPdf([sheet]) : await sheetToPng(sheet, dpi));
}
