/** An evening of hand-ins in a district in small, while its processes are killed one after the other. */
import { attempts, measurements } from '@/data/schema/tables';
import { chance } from '@/devices/random';
import { openHouse } from '@/studio/house';
import { inArray } from 'drizzle-orm';
import pLimit from 'p-limit';
import { row } from '../tally';
import { furnish, handIn, photographs, type Sender, STUDENTS, underWay } from './evening';
import { openDistrict } from './machines';
import { until } from './processes';
import { queueCost } from './queue-cost';

/** So many are on their way at once, and so long apart are the kills, about. */
const EVENING = { atOnce: 8, everyMs: 2500 } as const;
/** For each round: ten make an evening. */
const A_ROUND = { handIns: 20, kills: 3 } as const;
const LIMIT = { measuredMs: 60_000, queueMs: 20 } as const;
const START_MS = 90_000;

/** Returns whether nothing was lost, nothing is measured twice, and all is measured in time. */
export async function benchCluster(seed: number, rounds: number): Promise<boolean> {
  const own = chance(seed).fork('cluster');
  const [handIns, times] = [A_ROUND.handIns * rounds, A_ROUND.kills * rounds];
  const photos = await photographs(seed, handIns);
  const district = await openDistrict();
  const house = await openHouse(district.settings);
  try {
    const { senders, exercises } = await furnish(house, handIns);
    await until('pages', async () => (await fetch(`${district.base}/health/ready`)).ok, START_MS);
    let killed = 0;
    let last = performance.now();
    const started = performance.now();
    const kills = (async () => {
      while (killed < times) {
        await new Promise((done) => setTimeout(done, EVENING.everyMs * own.between(0.5, 1.5)));
        if (!district.processes[own.whole(0, district.processes.length - 1)]?.kill()) continue;
        killed++;
        last = performance.now();
      }
    })();
    const lane = pLimit(EVENING.atOnce);
    const sent = Promise.all(
      photos.map((photo, k) =>
        lane(() =>
          handIn(
            district.base,
            senders[k % senders.length] as Sender,
            exercises[Math.floor(k / senders.length)] as string,
            photo,
          ),
        ),
      ),
    );
    const acknowledged = await sent;
    const allSentMs = performance.now() - started;
    await kills;
    await until('all to be measured', async () => (await underWay(house)) === 0, 10 * LIMIT.measuredMs);
    const measuredMs = performance.now() - last;
    const kept = await house.db.select().from(attempts).where(inArray(attempts.id, acknowledged));
    const read = await house.db.select({ id: measurements.attemptId }).from(measurements);
    const lost = acknowledged.length - kept.length;
    const numbers = new Set(kept.map((a) => `${a.handInId} ${a.number}`));
    const twice = read.length - new Set(read.map((r) => r.id)).size + (kept.length - numbers.size);
    const unread = kept.filter((a) => a.state !== 'measured' && a.state !== 'refused').length;
    // They would take these jobs too.
    await Promise.all(district.processes.map((process) => process.stop()));
    const cost = await queueCost(district.settings);
    console.log(`\n${handIns} hand-ins by ${STUDENTS} students, ${killed} processes killed`);
    row('', 'lost', 'twice', 'not read', 'sent, s', 'after, s', 'queue, ms');
    row('', lost, twice, unread, allSentMs / 1000, measuredMs / 1000, cost);
    return lost + twice + unread === 0 && measuredMs <= LIMIT.measuredMs && cost <= LIMIT.queueMs;
  } finally {
    await house.close();
    await district.stop();
  }
}
