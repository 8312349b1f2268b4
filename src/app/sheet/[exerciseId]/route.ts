import { pagesToPrint } from '@/studio/plan/exercises';
import { answer, nothingHere } from '../../api';
import { answerPdf } from '../../pdf';

/** The sheets of an exercise as one PDF, or the first as SVG to look at. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ exerciseId: string }> },
): Promise<Response> {
  const { exerciseId } = await params;
  const query = new URL(request.url).searchParams;
  return answer(async (house, actor) => {
    const job = await pagesToPrint(house, actor, exerciseId, query.get('student'));
    if (query.get('as') !== 'svg') return answerPdf(house, job, 'worksheets');
    const picture = await house.printer.picture(job);
    return picture === null ? nothingHere() : new Response(picture, { headers: { 'Content-Type': 'image/svg+xml' } });
  });
}
