import { PAPER_IDS } from '@/core/sheet/paper';
import { letterToPrint } from '@/studio/critique/letter-to-print';
import { z } from 'zod';
import { answer } from '../../api';
import { answerPdf } from '../../pdf';

const paperSchema = z.enum(PAPER_IDS).catch('a4');

/** A letter as PDF, on the paper that is asked for. */
export async function GET(request: Request, { params }: { params: Promise<{ attemptId: string }> }): Promise<Response> {
  const { attemptId } = await params;
  const paper = paperSchema.parse(new URL(request.url).searchParams.get('paper'));
  return answer(async (house, actor) =>
    answerPdf(house, await letterToPrint(house, actor, attemptId, paper), 'letter'),
  );
}
