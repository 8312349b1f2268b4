/** Serves the built application: who calls is told to its pages, every answer says what may run, and each request has an id. */
import { readServing } from '@/data/settings';
import next from 'next';
import { randomBytes, randomUUID } from 'node:crypto';
import { createServer } from 'node:http';
import { answering } from '@/watch/request-id';
import { logWhatIsSaidAside } from '@/watch/said-aside';
import { callers, introduce } from './caller-of';
import { routesOfBuild } from './routes-of-build';
import { contentPolicy, securityHeaders } from './security-headers';
import { watchRequest } from './watch-request';

/** A whole evening's ZIP over a slow line takes its time; headers never do. */
const REQUEST_MS = 30 * 60_000;
const HEADERS_MS = 30_000;

const { host, port, proxies } = readServing();
const callerOf = callers(proxies);
const routeOf = routesOfBuild();
const app = next({ dev: false, hostname: host, port });
// Opens the house; where it can't be opened the process has ended before anything is served.
await app.prepare();
const handle = app.getRequestHandler();

const server = createServer((request, response) => {
  const caller = callerOf(request);
  introduce(request, caller);
  const nonce = randomBytes(16).toString('base64');
  const id = randomUUID();
  request.headers['x-request-id'] = id;
  // The framework finds the nonce for its own scripts here.
  request.headers['content-security-policy'] = contentPolicy(nonce);
  const path = (request.url ?? '/').split('?')[0] ?? '/';
  for (const [name, value] of Object.entries(securityHeaders(path, nonce, caller.https)))
    response.setHeader(name, value);
  response.setHeader('X-Request-Id', id);
  watchRequest(request, response, routeOf(path));
  void answering(id, () => handle(request, response));
});
server.requestTimeout = REQUEST_MS;
server.headersTimeout = HEADERS_MS;
server.once('error', (error) => {
  console.error(`Nothing can be served at http://${host}:${port}: ${error.message}. Is something else there?`);
  process.exit(1);
});
server.listen(port, host, () => {
  console.log(`Ready at http://${host}:${port}`);
  logWhatIsSaidAside();
});
for (const signal of ['SIGINT', 'SIGTERM'] as const) process.once(signal, () => server.close());
