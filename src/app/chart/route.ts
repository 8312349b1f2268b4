import { drawChart } from '@/core/finder/finder-sheet';
import { PAPER_IDS } from '@/core/sheet/paper';
import { sheetsToPdf } from '@/print/sheet-pdf';
import { NotFound } from '@/studio/access/actor';
import { answer } from '../api';

/** The chart by which a printer is known, as PDF. */
export async function GET(request: Request): Promise<Response> {
  const asked = new URL(request.url).searchParams.get('paper');
  return answer(async (_, actor) => {
    if (actor.role !== 'teacher') throw new NotFound();
    const pdf = await sheetsToPdf([drawChart(PAPER_IDS.find((p) => p === asked) ?? 'a4')]);
    return new Response(new Uint8Array(pdf), {
      headers: { 'Content-Type': 'application/pdf', 'Content-Disposition': 'inline; filename="printer-chart.pdf"' },
    });
  });
}
