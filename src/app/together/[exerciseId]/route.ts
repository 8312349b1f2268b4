import { PAPER_IDS } from '@/core/sheet/paper';
import { NotFound } from '@/studio/access/actor';
import { groupToPrint } from '@/studio/critique/group-to-print';
import { z } from 'zod';
import { answer } from '../../api';
import { answerPdf } from '../../pdf';

const wishSchema = z.object({
  paper: z.enum(PAPER_IDS).catch('a4'),
  names: z
    .literal('shown')
    .optional()
    .catch(undefined)
    .transform((names) => names === 'shown'),
});

/** What a class has in common at an exercise, as PDF. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ exerciseId: string }> },
): Promise<Response> {
  const { exerciseId } = await params;
  const wish = wishSchema.parse(Object.fromEntries(new URL(request.url).searchParams));
  return answer(async (house, actor) => {
    if (actor.role !== 'teacher') throw new NotFound();
    return answerPdf(house, await groupToPrint(house, actor, exerciseId, wish), 'together');
  });
}
