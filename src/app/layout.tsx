import '@fontsource/source-sans-3/400.css';
import '@fontsource/source-sans-3/600.css';
import '@fontsource/source-serif-4/400.css';
import '@fontsource/source-serif-4/600.css';
import type { Metadata, Viewport } from 'next';
import { cookies } from 'next/headers';
import type { ReactNode } from 'react';
import './globals.css';

export const metadata: Metadata = { title: 'Fair Grey', description: 'Value exercises set, measured and critiqued.' };
export const viewport: Viewport = { width: 'device-width', initialScale: 1 };

export default async function Layout({ children }: { children: ReactNode }) {
  const surround = (await cookies()).get('surround')?.value ?? 'middle';
  return (
    <html lang="en" data-surround={surround}>
      <body>{children}</body>
    </html>
  );
}
