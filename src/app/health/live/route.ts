export const dynamic = 'force-dynamic';

/** The process answers: nothing else is asked. */
export const GET = (): Response => Response.json({ live: true });
