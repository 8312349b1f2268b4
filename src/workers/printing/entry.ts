/**
 * What the threads run that print: a PDF goes out piece by piece through the port that came with its job; without one, a picture of
 * its first page comes back.
 */
import { shippedFonts } from '@/print/fonts';
import { writeSheets } from '@/print/sheet-pdf';
import { sheetToSvg } from '@/print/sheet-svg';
import type { MessagePort } from 'node:worker_threads';
import type { SheetDrawing } from '@/core/sheet/drawing';
import { groupSheets, letterSheets, pagesOf, portfolioSheets, type PrintJob } from './job';

// Unpacked while nobody waits for a sheet yet.
shippedFonts('regular');
shippedFonts('strong');

function sheetsOf(job: PrintJob): Iterable<SheetDrawing> | AsyncIterable<SheetDrawing> {
  if (job.kind === 'letters') return letterSheets(job.letters);
  if (job.kind === 'portfolio') return portfolioSheets(job.portfolio);
  return job.kind === 'group' ? groupSheets(job.group) : pagesOf(job);
}

async function pictureOf(job: PrintJob): Promise<string | null> {
  for await (const sheet of sheetsOf(job)) return sheetToSvg(sheet);
  return null;
}

interface Order {
  readonly job: PrintJob;
  readonly port: MessagePort | null;
}

export default async function entry({ job, port }: Order): Promise<string | null> {
  if (!port) return pictureOf(job);
  try {
    await writeSheets(sheetsOf(job), (piece) => port.postMessage(new Uint8Array(piece)));
    return null;
  } finally {
    port.close();
  }
}
