import { bracketPage, drawBrackets } from '@/core/sheet/brackets';
import { PAPER_IDS } from '@/core/sheet/paper';
import { answer } from '../api';
import { answerPdf } from '../pdf';

/** Corner pieces for boards larger than the paper, as PDF. */
export async function GET(request: Request): Promise<Response> {
  const asked = new URL(request.url).searchParams.get('paper');
  const sheets = [drawBrackets(bracketPage(PAPER_IDS.find((p) => p === asked) ?? 'a4'))];
  return answer((house) => answerPdf(house, { kind: 'drawn', sheets }, 'corner-pieces'));
}
