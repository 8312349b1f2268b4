import { attemptFor } from '@/studio/access/actor';
import type { LiveNews } from '@/studio/hand-in/live';
import { answer } from '../../api';

export const dynamic = 'force-dynamic';

/** News of one attempt as server-sent events, beginning with how it stands. */
export async function GET(request: Request, { params }: { params: Promise<{ attemptId: string }> }): Promise<Response> {
  const { attemptId } = await params;
  return answer(async (house, actor) => {
    const { attempt } = await attemptFor(house, actor, attemptId);
    const text = new TextEncoder();
    let stop = () => {};
    const stream = new ReadableStream<Uint8Array>({
      start(controller) {
        const tell = (news: LiveNews) => controller.enqueue(text.encode(`data: ${JSON.stringify(news)}\n\n`));
        const waitsForPicture = attempt.previewHash === null;
        const under = attempt.state === 'queued' || attempt.state === 'measuring';
        if (under || !waitsForPicture) tell(house.live.last(attemptId) ?? { state: attempt.state, stage: null });
        const deaf = house.live.listen(attemptId, tell);
        const alive = setInterval(() => controller.enqueue(text.encode(': still here\n\n')), 15_000);
        stop = () => {
          clearInterval(alive);
          deaf();
        };
        request.signal.addEventListener('abort', () => {
          stop();
          controller.close();
        });
      },
      cancel: () => stop(),
    });
    return new Response(stream, {
      headers: { 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-store', 'X-Accel-Buffering': 'no' },
    });
  });
}
