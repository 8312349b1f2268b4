import { stepsSchema } from '@/core/exercise/scale';
import { PAPER_IDS } from '@/core/sheet/paper';
import { NotFound } from '@/studio/access/actor';
import { finderFor } from '@/studio/mixing/finders';
import { answer } from '../../api';
import { answerPdf } from '../../pdf';

/** The value finder of a class on a printer, as PDF. */
export async function GET(request: Request, { params }: { params: Promise<{ printerId: string }> }): Promise<Response> {
  const { printerId } = await params;
  const query = new URL(request.url).searchParams;
  return answer(async (house, actor) => {
    if (actor.role !== 'teacher') throw new NotFound();
    const steps = stepsSchema.safeParse(Number(query.get('steps')));
    if (!steps.success) throw new NotFound();
    const paper = PAPER_IDS.find((p) => p === query.get('paper')) ?? 'a4';
    const { drawing } = await finderFor(house, actor, printerId, query.get('class') ?? '', steps.data, paper);
    return answerPdf(house, { kind: 'drawn', sheets: [drawing] }, 'value-finder');
  });
}
