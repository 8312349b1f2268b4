import type { House } from '@/studio/house';
import type { PrintJob } from '@/workers/printing/job';

/** Answers with a PDF, page by page as it is made. */
export async function answerPdf(house: House, job: PrintJob, name: string): Promise<Response> {
  return new Response(await house.printer.print(job), {
    headers: { 'Content-Type': 'application/pdf', 'Content-Disposition': `inline; filename="${name}.pdf"` },
  });
}
