/** Serves what is counted, on a port of its own that visitors never reach. */
import { createServer } from 'node:http';
import { once } from 'node:events';
import { log } from './log';
import { meters } from './meters';

export interface MetricsAt {
  readonly host: string;
  readonly port: number;
}

export interface MetricsServer {
  readonly port: number;
  close(): Promise<void>;
}

/** `refresh` reads what has to be asked for, before each answer. Throws with a sentence where the port is taken. */
export async function openMetrics({ host, port }: MetricsAt, refresh: () => Promise<void>): Promise<MetricsServer> {
  const server = createServer((request, response) => {
    if (request.url !== '/metrics') return void response.writeHead(404).end();
    void refresh()
      .catch((error: unknown) => log.warn({ err: error }, 'what waits could not be counted'))
      .then(() => meters.registry.metrics())
      .then((text) => response.writeHead(200, { 'Content-Type': meters.registry.contentType }).end(text))
      .catch((error: unknown) => {
        log.error({ err: error }, 'metrics');
        response.writeHead(500).end();
      });
  });
  server.listen(port, host);
  await once(server, 'listening').catch((error: unknown) => {
    throw new Error(
      `Metrics can’t be served at ${host}:${port}: ${error instanceof Error ? error.message : String(error)}. Look at FAIR_GREY_METRICS.`,
    );
  });
  const address = server.address();
  return {
    port: typeof address === 'object' && address ? address.port : port,
    close: () =>
      new Promise((resolve) => {
        server.close(() => resolve());
        server.closeAllConnections();
      }),
  };
}
