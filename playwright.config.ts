/** Browser tests: the built application in Debian's Chromium, one file after the other, each in a studio of its own. */
import { defineConfig } from '@playwright/test';
import { CHROMIUM } from './e2e/chromium';

export default defineConfig({
  testDir: 'e2e',
  workers: 1,
  forbidOnly: true,
  // A limit against hanging only: how long honest work takes is up to the machine.
  timeout: 600_000,
  expect: { timeout: 120_000 },
  reporter: [['list'], ['json', { outputFile: process.env.FAIR_GREY_REPORT ?? 'test-results/report.json' }]],
  use: { launchOptions: CHROMIUM },
});
