/** What the thread runs that prints: a PDF goes out piece by piece through the port that came with its job. */
import { shippedFonts } from '@/print/fonts';
import { writeSheets } from '@/print/sheet-pdf';
import type { MessagePort } from 'node:worker_threads';
import { pagesOf, type PrintJob } from './job';

// Unpacked while nobody waits for a sheet yet.
shippedFonts('regular');
shippedFonts('strong');

export default async function entry({ job, port }: { job: PrintJob; port: MessagePort }): Promise<void> {
  try {
    await writeSheets(pagesOf(job), (piece) => port.postMessage(new Uint8Array(piece)));
  } finally {
    port.close();
  }
}
