/** Hears what a PostgreSQL server is told to pass on, over a connection of its own that is made anew whenever it breaks. */
import type pg from 'pg';

/** How long after a break it is tried again: longer each time, up to the last. */
const AGAIN_MS = [250, 1000, 3000, 10_000] as const;

export interface Hearing {
  listen(channel: string, hear: (message: string) => void): Promise<void>;
  close(): Promise<void>;
}

export function hearing(connection: () => pg.Client): Hearing {
  const ears = new Map<string, ((message: string) => void)[]>();
  let client: Promise<pg.Client> | null = null;
  let closed = false;
  let breaks = 0;

  async function connect(): Promise<pg.Client> {
    const own = connection();
    // Both may be told of one break.
    let broken = false;
    const mend = () => {
      if (broken || closed) return;
      broken = true;
      client = null;
      const wait = AGAIN_MS[Math.min(breaks++, AGAIN_MS.length - 1)];
      setTimeout(() => void open().catch(() => undefined), wait).unref();
    };
    own.on('error', mend);
    own.on('end', mend);
    own.on('notification', ({ channel, payload }) => {
      for (const hear of ears.get(channel) ?? []) hear(payload ?? '');
    });
    try {
      await own.connect();
      for (const channel of ears.keys()) await own.query(`listen ${own.escapeIdentifier(channel)}`);
    } catch (error) {
      mend();
      throw error;
    }
    breaks = 0;
    return own;
  }

  const open = (): Promise<pg.Client> => (client ??= connect());

  return {
    async listen(channel, hear) {
      ears.set(channel, [...(ears.get(channel) ?? []), hear]);
      const own = await open();
      await own.query(`listen ${own.escapeIdentifier(channel)}`);
    },
    async close() {
      closed = true;
      await client?.then((own) => own.end()).catch(() => undefined);
    },
  };
}
