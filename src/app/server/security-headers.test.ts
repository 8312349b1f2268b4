/** No script runs on a page that the server did not write into it. */
import { contentPolicy, securityHeaders } from './security-headers';

test('a page runs scripts of its own nonce, and is framed nowhere', () => {
  const policy = contentPolicy('abc');
  expect(policy).toContain("script-src 'self' 'nonce-abc' 'strict-dynamic'");
  expect(policy.split('script-src')[1]).not.toContain('unsafe');
  expect(policy).toContain("frame-ancestors 'none'");
});

test('workers alone may make functions; only what came by https asks for it from then on', () => {
  expect(securityHeaders('/workers/opencv.js', 'abc', false)['Content-Security-Policy']).toContain('unsafe-eval');
  expect(securityHeaders('/', 'abc', false)['Content-Security-Policy']).not.toContain('unsafe-eval');
  expect(securityHeaders('/', 'abc', false)).not.toHaveProperty('Strict-Transport-Security');
  expect(securityHeaders('/', 'abc', true)).toHaveProperty('Strict-Transport-Security');
});
