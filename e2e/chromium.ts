/** How Debian's Chromium is started: without a monitor, and without a word to the network. */
import type { LaunchOptions } from '@playwright/test';

export const CHROMIUM: LaunchOptions = {
  executablePath: '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
};
