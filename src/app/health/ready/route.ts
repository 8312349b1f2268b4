import { type Check, readiness } from '@/studio/readiness';
import { theHouse } from '@/studio/house';

export const dynamic = 'force-dynamic';

const away = (error: unknown): Check => ({
  name: 'database',
  ok: false,
  say: error instanceof Error ? error.message : String(error),
});

/** Whether visitors should be sent here: each thing that it needs, with a sentence where it is not as it should be. */
export async function GET(): Promise<Response> {
  const checks = await theHouse().then(readiness, (error: unknown) => [away(error)]);
  const ready = checks.every((check) => check.ok);
  return Response.json({ ready, checks }, { status: ready ? 200 : 503 });
}
