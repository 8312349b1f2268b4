import { CORRECTION_FILES, type CorrectionFile, correctionFile } from '@/studio/critique/correcting';
import { OPENRASTER_TYPE } from '@/core/formats/openraster';
import { answer, nothingHere } from '../../../api';

const TYPES: Record<CorrectionFile, string> = {
  before: 'image/jpeg',
  picture: 'image/jpeg',
  png: 'image/png',
  layers: OPENRASTER_TYPE,
};
/** What is taken along is called so, after the student. */
const TAKEN_AS: Partial<Record<CorrectionFile, string>> = { png: 'correction.png', layers: 'correction.ora' };

/** A correction: what it was drawn on, what came of it, and both as files to take along. */
export async function GET(
  _: Request,
  { params }: { params: Promise<{ correctionId: string; what: string }> },
): Promise<Response> {
  const { correctionId, what } = await params;
  const asked = CORRECTION_FILES.find((f) => f === what);
  if (!asked) return nothingHere();
  return answer(async (house, actor) => {
    const { bytes, student } = await correctionFile(house, actor, correctionId, asked);
    const ending = TAKEN_AS[asked];
    const name = encodeURIComponent(`${student} ${ending ?? ''}`);
    return new Response(new Uint8Array(bytes), {
      headers: {
        'Content-Type': TYPES[asked],
        'Cache-Control': 'private, max-age=300',
        ...(ending && { 'Content-Disposition': `attachment; filename*=UTF-8''${name}` }),
      },
    });
  });
}
