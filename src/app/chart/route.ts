import { drawChart } from '@/core/finder/finder-sheet';
import { PAPER_IDS } from '@/core/sheet/paper';
import { NotFound } from '@/studio/access/actor';
import { answer } from '../api';
import { answerPdf } from '../pdf';

/** The chart by which a printer is known, as PDF. */
export async function GET(request: Request): Promise<Response> {
  const asked = new URL(request.url).searchParams.get('paper');
  return answer(async (house, actor) => {
    if (actor.role !== 'teacher') throw new NotFound();
    const sheets = [drawChart(PAPER_IDS.find((p) => p === asked) ?? 'a4')];
    return answerPdf(house, { kind: 'drawn', sheets }, 'printer-chart');
  });
}
