import { PAPER_IDS } from '@/core/sheet/paper';
import { portfolioToPrint, portfolioZip } from '@/studio/class/portfolio';
import { Readable } from 'node:stream';
import { z } from 'zod';
import { answer } from '../../api';
import { answerPdf } from '../../pdf';

const askedSchema = z.object({ as: z.enum(['zip', 'pdf']).catch('zip'), paper: z.enum(PAPER_IDS).catch('a4') });

/** A student's work to take home, for the student and for who teaches them: pages with try beside try, or all of it as a ZIP. */
export async function GET(request: Request, { params }: { params: Promise<{ studentId: string }> }): Promise<Response> {
  const { studentId } = await params;
  const { as, paper } = askedSchema.parse(Object.fromEntries(new URL(request.url).searchParams));
  return answer(async (house, actor) => {
    if (as === 'pdf') return answerPdf(house, await portfolioToPrint(house, actor, studentId, paper), 'portfolio');
    const zip = await portfolioZip(house, actor, studentId);
    return new Response(Readable.toWeb(zip as Readable) as ReadableStream, {
      headers: { 'Content-Type': 'application/zip', 'Content-Disposition': 'attachment; filename="portfolio.zip"' },
    });
  });
}
