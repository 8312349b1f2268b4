/** Each request is timed and, where it is wanted, logged: by its route, never by what stands in its place. */
import { log } from '@/watch/log';
import { meters } from '@/watch/meters';
import type { IncomingMessage, ServerResponse } from 'node:http';

/** Counts a request when its answer has gone, or when whoever asked has gone before. */
export function watchRequest(request: IncomingMessage, response: ServerResponse, route: string): void {
  const begun = performance.now();
  const id = response.getHeader('X-Request-Id');
  response.once('close', () => {
    const method = request.method ?? 'GET';
    const status = response.writableFinished ? response.statusCode : 'gone';
    const ms = performance.now() - begun;
    meters.requests.observe({ route, method, status: String(status) }, ms / 1000);
    log.info({ request: id, method, route, status, ms: Math.round(ms) }, 'request');
  });
}
