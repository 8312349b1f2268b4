/** What every answer tells the browser about what may run, be shown and be framed. */

const POLICY = {
  'default-src': "'self'",
  // Pictures that the page draws itself.
  'img-src': "'self' blob: data:",
  // Widths and colours of drawn instruments are attributes of their elements.
  'style-src': "'self' 'unsafe-inline'",
  'worker-src': "'self'",
  'object-src': "'none'",
  'base-uri': "'none'",
  'form-action': "'self'",
  'frame-ancestors': "'none'",
} as const;

/** Workers of the page have a policy of their own: OpenCV makes functions out of its tables. */
const WORKERS = '/workers/';
const WORKER_POLICY = "default-src 'self'; script-src 'self' 'unsafe-eval' 'wasm-unsafe-eval'; object-src 'none'";

const written = (policy: Record<string, string>) =>
  Object.entries(policy)
    .map(([what, from]) => `${what} ${from}`)
    .join('; ');

/** The policy of a page whose own scripts carry `nonce`; nothing else that stands in it runs. */
export const contentPolicy = (nonce: string): string =>
  written({ ...POLICY, 'script-src': `'self' 'nonce-${nonce}' 'strict-dynamic'` });

/** Cameras and places are never asked for by a script: a photograph comes by a file that the person chooses. */
const PERMISSIONS = 'camera=(), microphone=(), geolocation=(), payment=(), usb=(), browsing-topics=()';
const YEAR_SECONDS = 365 * 24 * 3600;

export const securityHeaders = (path: string, nonce: string, https: boolean): Record<string, string> => ({
  'Content-Security-Policy': path.startsWith(WORKERS) ? WORKER_POLICY : contentPolicy(nonce),
  'Permissions-Policy': PERMISSIONS,
  'Cross-Origin-Opener-Policy': 'same-origin',
  'Cross-Origin-Resource-Policy': 'same-origin',
  'X-Content-Type-Options': 'nosniff',
  'X-Frame-Options': 'DENY',
  'Referrer-Policy': 'same-origin',
  ...(https && { 'Strict-Transport-Security': `max-age=${YEAR_SECONDS}` }),
});
