import { exerciseFor, NotFound } from '@/studio/access/actor';
import { checkRoom } from '@/studio/hand-in/receive';
import { checkDab } from '@/studio/mixing/checks';
import { practiceDab } from '@/studio/practice/practice';
import { rm } from 'node:fs/promises';
import { z } from 'zod';
import { answer, fromElsewhere, nothingHere } from '../../api';
import { checkOften, takeUpload } from '../../take-upload';

const querySchema = z.object({
  step: z.coerce.number().int().min(1).max(15),
  wet: z.enum(['yes', 'no']),
  recipe: z.enum(['yes', 'no']),
  practice: z.enum(['yes', 'no']).catch('no'),
});

/** A photograph of a dab, answered at once; in the demo the practice camera takes it. */
export async function POST(
  request: Request,
  { params }: { params: Promise<{ exerciseId: string }> },
): Promise<Response> {
  if (fromElsewhere(request)) return nothingHere();
  const { exerciseId } = await params;
  return answer(async (house, actor) => {
    const query = querySchema.safeParse(Object.fromEntries(new URL(request.url).searchParams));
    if (actor.role !== 'student' || !query.success) throw new NotFound();
    const { step, wet, recipe, practice } = query.data;
    await exerciseFor(house, actor, exerciseId);
    await checkOften(house, actor);
    await checkRoom(house);
    const file =
      practice === 'yes'
        ? await practiceDab(house, actor, exerciseId, step)
        : await takeUpload(request, house.files.incoming);
    try {
      return Response.json(
        await checkDab(house, actor, exerciseId, { step, wet: wet === 'yes', asTheRecipe: recipe === 'yes' }, file),
      );
    } finally {
      await rm(file, { force: true });
    }
  });
}
