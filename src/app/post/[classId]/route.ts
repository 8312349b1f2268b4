import { NotFound } from '@/studio/access/actor';
import { announcementMails, takeAllLetters, takeLetter } from '@/studio/post/mailing';
import { Readable } from 'node:stream';
import { answer } from '../../api';

const download = (body: BodyInit, type: string, name: string) =>
  new Response(body, {
    headers: { 'Content-Type': type, 'Content-Disposition': `attachment; filename="${name}"` },
  });

const zip = (parts: AsyncGenerator<Buffer>, name: string) =>
  download(Readable.toWeb(Readable.from(parts)) as ReadableStream, 'application/zip', name);

/** Letters or an announcement of a class as files of e-mail: one letter, all that wait, or an announcement to all who have an address. */
export async function GET(request: Request, { params }: { params: Promise<{ classId: string }> }): Promise<Response> {
  const { classId } = await params;
  const asked = new URL(request.url).searchParams;
  return answer(async (house, actor) => {
    if (actor.role !== 'teacher') throw new NotFound();
    const [attemptId, announcement] = [asked.get('letter'), asked.get('announcement')];
    if (attemptId)
      return download(new Uint8Array(await takeLetter(house, actor, attemptId)), 'message/rfc822', 'letter.eml');
    if (announcement) return zip(await announcementMails(house, actor, classId, announcement), 'announcement.zip');
    return zip(await takeAllLetters(house, actor, classId), 'letters.zip');
  });
}
