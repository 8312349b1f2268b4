import { sheetsToPdf } from '@/print/sheet-pdf';
import { sheetToSvg } from '@/print/sheet-svg';
import { sheetsFor } from '@/studio/plan/exercises';
import { answer, nothingHere } from '../../api';

/** The sheets of an exercise as one PDF, or the first as SVG to look at. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ exerciseId: string }> },
): Promise<Response> {
  const { exerciseId } = await params;
  const query = new URL(request.url).searchParams;
  return answer(async (house, actor) => {
    const sheets = await sheetsFor(house, actor, exerciseId, query.get('student'));
    const [first] = sheets;
    if (!first) return nothingHere();
    if (query.get('as') === 'svg')
      return new Response(sheetToSvg(first), { headers: { 'Content-Type': 'image/svg+xml' } });
    return new Response(new Uint8Array(await sheetsToPdf(sheets)), {
      headers: { 'Content-Type': 'application/pdf', 'Content-Disposition': 'inline; filename="worksheets.pdf"' },
    });
  });
}
