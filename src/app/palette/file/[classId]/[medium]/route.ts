import { MEDIUM_IDS } from '@/core/exercise/media';
import { classOf, NotFound } from '@/studio/access/actor';
import { paletteCsv, paletteGpl } from '@/studio/mixing/palette-files';
import { paletteFor } from '@/studio/mixing/palettes';
import { z } from 'zod';
import { answer } from '../../../../api';

const querySchema = z.object({ medium: z.enum(MEDIUM_IDS), as: z.enum(['csv', 'gpl']) });

export async function GET(
  request: Request,
  { params }: { params: Promise<{ classId: string; medium: string }> },
): Promise<Response> {
  const { classId, medium } = await params;
  return answer(async (house, actor) => {
    const query = querySchema.safeParse({ medium, as: new URL(request.url).searchParams.get('as') });
    if (actor.role !== 'teacher' || !query.success) throw new NotFound();
    const palette = await paletteFor(house, actor, classId, query.data.medium);
    const own = await classOf(house, actor, classId);
    const text = query.data.as === 'csv' ? paletteCsv(palette) : paletteGpl(palette, own.name);
    return new Response(text, {
      headers: {
        'content-type': query.data.as === 'csv' ? 'text/csv; charset=utf-8' : 'text/plain; charset=utf-8',
        'content-disposition': `attachment; filename="palette-${query.data.medium}.${query.data.as}"`,
      },
    });
  });
}
