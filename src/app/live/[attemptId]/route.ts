import { attemptFor } from '@/studio/access/actor';
import type { LiveNews } from '@/studio/hand-in/live';
import { answer } from '../../api';

export const dynamic = 'force-dynamic';

/** How often somebody who hears nothing is told how it stands: news may be lost where a connection breaks. */
const STILL_HERE_MS = 15_000;

/** News of one attempt as server-sent events, beginning with how it stands. */
export async function GET(request: Request, { params }: { params: Promise<{ attemptId: string }> }): Promise<Response> {
  const { attemptId } = await params;
  return answer(async (house, actor) => {
    await attemptFor(house, actor, attemptId);
    const text = new TextEncoder();
    let stop = () => {};
    const stream = new ReadableStream<Uint8Array>({
      async start(controller) {
        let told: string | null = null;
        const tell = (news: LiveNews) => {
          told = news.state;
          controller.enqueue(text.encode(`data: ${JSON.stringify(news)}\n\n`));
        };
        const how = async () => {
          const { attempt } = await attemptFor(house, actor, attemptId);
          const underWay = attempt.state === 'queued' || attempt.state === 'measuring';
          const isWhole = underWay || attempt.previewHash !== null;
          if (isWhole && attempt.state !== told) tell({ state: attempt.state, stage: null });
          else controller.enqueue(text.encode(': still here\n\n'));
        };
        // Heard before it is read: what happens in between is told twice rather than never.
        const deaf = house.live.listen(attemptId, tell);
        const alive = setInterval(() => void how().catch(() => stop()), STILL_HERE_MS);
        stop = () => {
          clearInterval(alive);
          deaf();
        };
        request.signal.addEventListener('abort', () => {
          stop();
          controller.close();
        });
        await how();
      },
      cancel: () => stop(),
    });
    return new Response(stream, {
      headers: { 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-store', 'X-Accel-Buffering': 'no' },
    });
  });
}
