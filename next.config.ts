import type { NextConfig } from 'next';

const config: NextConfig = {
  serverExternalPackages: [
    '@electric-sql/pglite',
    '@node-rs/argon2',
    '@techstark/opencv-js',
    'better-auth',
    'fontkit',
    'heic-decode',
    'pdfkit',
    'pg',
    'pg-boss',
    'piscina',
    'sharp',
    'zxing-wasm',
  ],
  poweredByHeader: false,
  // Types are checked by `npm test`; once is enough.
  typescript: { ignoreBuildErrors: true },
  async headers() {
    return [
      {
        source: '/:path*',
        headers: [
          { key: 'X-Content-Type-Options', value: 'nosniff' },
          { key: 'Referrer-Policy', value: 'same-origin' },
          { key: 'X-Frame-Options', value: 'DENY' },
        ],
      },
    ];
  },
};

export default config;
