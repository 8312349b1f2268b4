import { exerciseReference } from '@/studio/reference/references';
import { answer, nothingHere } from '../../api';

/** Sheets of the picture that an exercise is painted from, or the picture to look at: in its tones, or in the greys that paint can reach. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ exerciseId: string }> },
): Promise<Response> {
  const { exerciseId } = await params;
  const as = new URL(request.url).searchParams.get('as');
  const what = as === 'tones' || as === 'grey' ? as : 'sheets';
  return answer(async (house, actor) => {
    const bytes = await exerciseReference(house, actor, exerciseId, what);
    if (!bytes) return nothingHere();
    return new Response(new Uint8Array(bytes), {
      headers: {
        'Content-Type': what === 'sheets' ? 'application/pdf' : 'image/png',
        'Cache-Control': 'private, max-age=60',
      },
    });
  });
}
