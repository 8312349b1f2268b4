/** How long the look before sending takes in a browser's worker, once it is warm: a phone's photograph that will do, and two that won't. */
import { defaultScale } from '@/core/exercise/scale';
import { planFor } from '@/devices/paint-conditions';
import type { QuickAnswer, QuickQuestion } from '@/workers/browser/protocol';
import { chromium } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import path from 'node:path';
import { CHROMIUM } from '../e2e/chromium';
import { jpegOf, paintedSheet } from './stage';
import { quantile, row } from './tally';

export const LIMIT_MS = 400;
const CAMERAS = ['window', 'blurred', 'no-sheet'] as const;
const TIMES = 5;

/** Serves the built workers and the photographs; nothing else is needed. */
async function serve(pictures: ReadonlyMap<string, Buffer>) {
  const server = createServer((request, response) => {
    const url = request.url ?? '/';
    const picture = pictures.get(url.slice(1));
    const script = ['/workers/quick-check.js', '/workers/opencv.js'].includes(url)
      ? readFileSync(path.join('public', url))
      : null;
    response.setHeader('Content-Type', picture ? 'image/jpeg' : script ? 'text/javascript' : 'text/html');
    response.end(picture ?? script ?? '<p>bench');
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  return { base: `http://127.0.0.1:${(server.address() as AddressInfo).port}`, close: () => server.close() };
}

/** In the page: the same photograph several times; milliseconds as the page waits for them, the first one left out. */
async function askWorker({
  name,
  times,
  question,
}: {
  name: string;
  times: number;
  question: Omit<QuickQuestion, 'file' | 'id'>;
}): Promise<{ waits: number[]; codes: string[] }> {
  const worker = new Worker('/workers/quick-check.js');
  const file = await (await fetch(`/${name}`)).blob();
  const waits: number[] = [];
  let codes: string[] = [];
  for (let id = 0; id <= times; id++) {
    const start = performance.now();
    const answer = await new Promise<QuickAnswer>((resolve) => {
      worker.onmessage = (e: MessageEvent<QuickAnswer>) => resolve(e.data);
      worker.postMessage({ ...question, id, file });
    });
    if (id > 0) waits.push(performance.now() - start);
    codes = answer.issues?.map((i) => i.code) ?? ['not looked at'];
  }
  worker.terminate();
  return { waits, codes };
}

/** Returns whether every look keeps to its time. */
export async function benchQuick(seed: number): Promise<boolean> {
  const pictures = new Map<string, Buffer>();
  for (const camera of CAMERAS)
    pictures.set(camera, await jpegOf(await paintedSheet(9, 'a4', planFor('fine', 9, seed), seed), camera, seed, 12));
  const { base, close } = await serve(pictures);
  const browser = await chromium.launch(CHROMIUM);
  try {
    const page = await browser.newPage();
    await page.goto(base);
    console.log('\nThe look before sending, in a warm worker of the browser, 12 megapixels: ms');
    row('', 'median', 'longest', 'told');
    let good = true;
    for (const name of CAMERAS) {
      const { waits, codes } = await page.evaluate(askWorker, {
        name,
        times: TIMES,
        question: { terms: defaultScale('gouache', 9) },
      });
      row(name, quantile(waits, 0.5), Math.max(...waits), codes.join(', ') || 'will do');
      good &&= quantile(waits, 0.5) <= LIMIT_MS;
    }
    return good;
  } finally {
    await browser.close();
    close();
  }
}
