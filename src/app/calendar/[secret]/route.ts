import { NotFound } from '@/studio/access/actor';
import { theHouse } from '@/studio/house';
import { calendarBy } from '@/studio/post/calendars';
import { nothingHere } from '../../api';

/** A calendar for whoever was given its secret address: calendar programs sign in nowhere. */
export async function GET(_: Request, { params }: { params: Promise<{ secret: string }> }): Promise<Response> {
  const { secret } = await params;
  try {
    const text = await calendarBy(await theHouse(), secret.replace(/\.ics$/, '').slice(0, 100));
    return new Response(text, {
      headers: { 'Content-Type': 'text/calendar; charset=utf-8', 'Cache-Control': 'private, max-age=600' },
    });
  } catch (error) {
    if (error instanceof NotFound) return nothingHere();
    throw error;
  }
}
