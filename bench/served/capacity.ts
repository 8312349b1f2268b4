/**
 * What an evening costs: processor time of each part for one photograph, in times of decoding it, and whether the model that
 * docs/running.md gives foretells how long a district in small needs for an evening.
 */
import { attempts } from '@/data/schema/tables';
import { type House, openHouse } from '@/studio/house';
import { and, count, eq, isNotNull, sql } from 'drizzle-orm';
import { cpus } from 'node:os';
import pLimit from 'p-limit';
import sharp from 'sharp';
import { z } from 'zod';
import { row } from '../tally';
import { CAPACITY, eveningSeconds } from './capacity-model';
import { furnish, handIn, photographs, type Sender } from './evening';
import { type District, openDistrict } from './machines';
import { until } from './processes';

const A_ROUND = 12;
const WARM_UP = 8;
const AT_ONCE = 8;
const MEGAPIXELS = 12;
const DECODES = 24;
/** The model may be off by so much. */
const OFF = 0.25;
const LONGEST_MS = 600_000;
const START_MS = 90_000;

/** Time of the machine's processors that somebody used, seconds. */
const usedSeconds = (): number =>
  cpus().reduce((sum, { times }) => sum + times.user + times.nice + times.sys + times.irq, 0) / 1000;

/** Processor seconds of decoding one photograph, with every core at it. */
async function decodeSeconds(photos: readonly Buffer[]): Promise<number> {
  sharp.concurrency(1);
  const lane = pLimit(cpus().length);
  const decode = (photo: Buffer) => lane(() => sharp(photo).raw().toBuffer());
  const some = Array.from({ length: DECODES }, (_, k) => photos[k % photos.length] as Buffer);
  await Promise.all(some.slice(0, cpus().length).map(decode));
  const start = performance.now();
  await Promise.all(some.map(decode));
  return (((performance.now() - start) / 1000) * cpus().length) / DECODES;
}

/** How many are measured, with their pictures. */
async function done({ db }: House): Promise<number> {
  const [found] = await db
    .select({ n: count() })
    .from(attempts)
    .where(and(eq(attempts.state, 'measured'), isNotNull(attempts.previewHash)));
  return found?.n ?? 0;
}

async function databaseBytes({ db }: House): Promise<number> {
  const { rows } = (await db.execute(sql`select pg_database_size(current_database()) as bytes`)) as { rows: unknown[] };
  return z.array(z.object({ bytes: z.coerce.number() })).parse(rows)[0]?.bytes ?? 0;
}

const usedBy = ({ processes }: District, name: string): number =>
  processes.filter((own) => own.name.startsWith(name)).reduce((sum, own) => sum + own.usedSeconds(), 0);

/** Returns whether the model foretells the evening within its bound. */
export async function benchCapacity(seed: number, rounds: number): Promise<boolean> {
  const handIns = A_ROUND * rounds;
  const photos = await photographs(seed, handIns + WARM_UP, MEGAPIXELS);
  const decode = await decodeSeconds(photos);
  const district = await openDistrict();
  const house = await openHouse(district.settings);
  try {
    const { senders, exercises } = await furnish(house, handIns + WARM_UP);
    await until('pages', async () => (await fetch(`${district.base}/health/ready`)).ok, START_MS);
    const lane = pLimit(AT_ONCE);
    const send = async (from: number, to: number) => {
      await Promise.all(
        photos.slice(from, to).map((photo, k) =>
          lane(() => {
            const exercise = exercises[Math.floor((from + k) / senders.length)] as string;
            return handIn(district.base, senders[(from + k) % senders.length] as Sender, exercise, photo);
          }),
        ),
      );
      await until('all to be measured', async () => (await done(house)) === to, LONGEST_MS);
    };
    await send(0, WARM_UP);
    const now = async () => ({
      at: performance.now() / 1000,
      all: usedSeconds(),
      measure: usedBy(district, 'measure'),
      web: usedBy(district, 'web'),
      bytes: await databaseBytes(house),
    });
    const before = await now();
    await send(WARM_UP, WARM_UP + handIns);
    const after = await now();
    const spent = (what: 'all' | 'measure' | 'web') => (after[what] - before[what]) / handIns / decode;
    const [measure, web] = [spent('measure'), spent('web')];
    const took = after.at - before.at;
    const foretold = eveningSeconds(handIns, cpus().length, decode);
    console.log(`\n${handIns} photographs of ${MEGAPIXELS} megapixels; processor time of each in times of decoding it`);
    row('', 'measuring', 'pages', 'the rest');
    row('model', CAPACITY.measure, CAPACITY.pages, CAPACITY.rest);
    row('here', measure, web, spent('all') - measure - web);
    row('', 'decoding, s', 'took, s', 'foretold, s', 'ratio');
    row('', decode, took, foretold, foretold / took);
    const peak = (name: string) =>
      Math.max(...district.processes.filter((own) => own.name.startsWith(name)).map((own) => own.peakMegabytes()));
    row('', 'measuring', 'pages', 'database');
    row('memory, MB', Math.round(peak('measure')), Math.round(peak('web')), '');
    row('a photograph, KB', '', '', Math.round((after.bytes - before.bytes) / handIns / 1024));
    return Math.abs(foretold / took - 1) <= OFF;
  } finally {
    await house.close();
    await district.stop();
  }
}
