/**
 * The accuracy report: photographs by the simulated camera under every condition and way of framing, read with measured
 * card profiles, put into docs/accuracy.md with pictures. Every figure in it comes from this run.
 */
import { mkdirSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { measureSpeed } from '../speed';
import { photographAll, type Run } from './photographed';
import { promisesOf } from './promises';
import { reportPictures, reportText } from './report';

/** Writes the report; returns whether every promise was kept. */
export async function benchAccuracy(run: Run, seed: number, rounds: number, megapixels: number): Promise<boolean> {
  const speed = await measureSpeed(seed + 95_000);
  const photographed = await photographAll(run, seed, rounds, megapixels);
  const promises = promisesOf(photographed, speed);
  mkdirSync('docs/accuracy', { recursive: true });
  for (const [name, svg] of Object.entries(reportPictures(photographed)))
    writeFileSync(path.join('docs/accuracy', name), svg);
  writeFileSync('docs/accuracy.md', reportText({ photographed, promises, speed, seed, rounds, megapixels }));
  for (const { what, found, kept } of promises) console.log(`${kept ? 'kept  ' : 'BROKEN'}  ${what}: ${found}`);
  return promises.every(({ kept }) => kept);
}
