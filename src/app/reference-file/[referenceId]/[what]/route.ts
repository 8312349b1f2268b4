import { REFERENCE_FILES, type ReferenceFile } from '@/core/reference/reference-files';
import { NotFound } from '@/studio/access/actor';
import { referenceFileFor } from '@/studio/reference/references';
import { answer, nothingHere } from '../../../api';

const TYPES: Record<ReferenceFile, readonly [type: string, ending: string]> = {
  grey: ['image/png', 'png'],
  squinted: ['image/png', 'png'],
  tones: ['image/png', 'png'],
  map: ['image/png', 'png'],
  traced: ['image/svg+xml', 'svg'],
  layers: ['image/openraster', 'ora'],
  sheets: ['application/pdf', 'pdf'],
};

export async function GET(
  request: Request,
  { params }: { params: Promise<{ referenceId: string; what: string }> },
): Promise<Response> {
  const { referenceId, what } = await params;
  const wanted = REFERENCE_FILES.find((f) => f === what);
  if (!wanted) return nothingHere();
  return answer(async (house, actor) => {
    if (actor.role !== 'teacher') throw new NotFound();
    const bytes = await referenceFileFor(
      house,
      actor,
      referenceId,
      wanted,
      new URL(request.url).searchParams.get('class'),
    );
    const [type, ending] = TYPES[wanted];
    return new Response(new Uint8Array(bytes), {
      headers: { 'Content-Type': type, 'Content-Disposition': `inline; filename="${wanted}.${ending}"` },
    });
  });
}
