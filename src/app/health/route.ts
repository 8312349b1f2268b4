import { theHouse } from '@/studio/house';

export const dynamic = 'force-dynamic';

export async function GET(): Promise<Response> {
  try {
    await theHouse();
    return Response.json({ ready: true });
  } catch (error) {
    return Response.json(
      { ready: false, say: error instanceof Error ? error.message : String(error) },
      { status: 503 },
    );
  }
}
