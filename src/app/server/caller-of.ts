/** Where a request comes from: from its socket, or from what a proxy that is named in the settings says of it. */
import type { IncomingMessage } from 'node:http';
import type { TLSSocket } from 'node:tls';
import proxyAddr from 'proxy-addr';
import { ADDRESS_HEADER, PROTOCOL_HEADER } from './caller-headers';

/** What proxies say of a request; of anybody else it is not believed. */
const FORWARDED = [
  'x-forwarded-for',
  'x-forwarded-proto',
  'x-forwarded-host',
  'x-forwarded-port',
  'forwarded',
] as const;

export interface Caller {
  readonly address: string;
  readonly https: boolean;
  /** Whether a proxy that is believed passed it on. */
  readonly passedOn: boolean;
}

/**
 * Tells who calls, with the proxies that are believed: addresses, subnets, or "loopback" and the like. Throws TypeError at what is
 * none of these.
 */
export function callers(proxies: readonly string[]): (request: IncomingMessage) => Caller {
  const trusted = proxyAddr.compile([...proxies]);
  return (request) => {
    const direct = request.socket.remoteAddress ?? 'unknown';
    const passedOn = trusted(direct, 0);
    const steps = String(request.headers['x-forwarded-proto'] ?? '').split(',');
    const byHttps = passedOn ? steps.at(-1)?.trim() === 'https' : (request.socket as Partial<TLSSocket>).encrypted;
    return { address: proxyAddr(request, trusted), https: byHttps === true, passedOn };
  };
}

/** Writes who calls into headers of a request that nobody else can write, and takes away what nobody may say. */
export function introduce(request: IncomingMessage, caller: Caller): void {
  if (!caller.passedOn) for (const name of FORWARDED) delete request.headers[name];
  request.headers[ADDRESS_HEADER] = caller.address;
  request.headers[PROTOCOL_HEADER] = caller.https ? 'https' : 'http';
}
