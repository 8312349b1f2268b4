/** Who calls is told by the socket, and by proxies that are believed: never by the visitor. */
import type { IncomingMessage } from 'node:http';
import { ADDRESS_HEADER, PROTOCOL_HEADER } from './caller-headers';
import { callers, introduce } from './caller-of';

const request = (remoteAddress: string, headers: Record<string, string> = {}) =>
  ({ socket: { remoteAddress }, headers: { ...headers } }) as unknown as IncomingMessage;

test('without a proxy what a visitor says of themselves is thrown away', () => {
  const own = request('10.0.0.9', {
    'x-forwarded-for': '1.2.3.4',
    'x-forwarded-proto': 'https',
    [ADDRESS_HEADER]: '5.6.7.8',
  });
  introduce(own, callers([])(own));
  expect(own.headers).toEqual({ [ADDRESS_HEADER]: '10.0.0.9', [PROTOCOL_HEADER]: 'http' });
});

test('a proxy that is named is believed about the last step only', () => {
  const callerOf = callers(['10.0.0.1']);
  const forged = { 'x-forwarded-for': '9.9.9.9, 192.0.2.7', 'x-forwarded-proto': 'https' };
  expect(callerOf(request('10.0.0.1', forged))).toEqual({ address: '192.0.2.7', https: true, passedOn: true });
  const past = request('10.0.0.2', { ...forged, 'x-forwarded-host': 'elsewhere.test' });
  expect(callerOf(past)).toEqual({ address: '10.0.0.2', https: false, passedOn: false });
  introduce(past, callerOf(past));
  expect(past.headers).not.toHaveProperty('x-forwarded-host');
});

test('what is no address is told', () => {
  expect(() => callers(['everybody'])).toThrow(TypeError);
});
