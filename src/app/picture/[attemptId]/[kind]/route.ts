import { pictureOf } from '@/studio/views/table';
import { answer, nothingHere } from '../../../api';

export async function GET(
  _: Request,
  { params }: { params: Promise<{ attemptId: string; kind: string }> },
): Promise<Response> {
  const { attemptId, kind } = await params;
  if (kind !== 'preview' && kind !== 'strip') return nothingHere();
  return answer(async (house, actor) => {
    const bytes = await pictureOf(house, actor, attemptId, kind);
    if (!bytes) return nothingHere();
    return new Response(new Uint8Array(bytes), {
      headers: { 'Content-Type': 'image/jpeg', 'Cache-Control': 'private, max-age=300' },
    });
  });
}
