import { bracketPage, drawBrackets } from '@/core/sheet/brackets';
import { PAPER_IDS } from '@/core/sheet/paper';
import { sheetsToPdf } from '@/print/sheet-pdf';
import { answer } from '../api';

/** Corner pieces for boards larger than the paper, as PDF. */
export async function GET(request: Request): Promise<Response> {
  const asked = new URL(request.url).searchParams.get('paper');
  return answer(async () => {
    const pdf = await sheetsToPdf([drawBrackets(bracketPage(PAPER_IDS.find((p) => p === asked) ?? 'a4'))]);
    return new Response(new Uint8Array(pdf), {
      headers: { 'Content-Type': 'application/pdf', 'Content-Disposition': 'inline; filename="corner-pieces.pdf"' },
    });
  });
}
