/** An evening of hand-ins in a district in small, while its processes are killed one after the other. */
import { defaultTerms } from '@/core/kinds/table';
import { queueCost } from './queue-cost';
import { newClassCode } from '@/data/schema/ids';
import { attempts, measurements } from '@/data/schema/tables';
import { chance } from '@/devices/random';
import { planFor } from '@/devices/paint-conditions';
import type { Teacher } from '@/studio/access/actor';
import { addStudent, createClass } from '@/studio/class/people';
import { type House, openHouse } from '@/studio/house';
import { setExercise } from '@/studio/plan/exercises';
import { count, inArray } from 'drizzle-orm';
import pLimit from 'p-limit';
import sharp from 'sharp';
import { dpiFor, jpegOf, paintedSheet } from '../stage';
import { row } from '../tally';
import { openDistrict } from './machines';
import { until } from './processes';

const EVENING = { students: 60, atOnce: 8, everyMs: 2500, megapixels: 4 } as const;
/** For each round: ten make an evening. */
const A_ROUND = { handIns: 20, kills: 3 } as const;
const LIMIT = { measuredMs: 60_000, queueMs: 20 } as const;
const START_MS = 90_000;
const UNDER_WAY = ['received', 'queued', 'measuring'] as const;

interface Sender {
  readonly cookie: string;
}

/** A class of sixty, with an exercise for each of their pictures. */
async function furnish(
  house: House,
  handIns: number,
): Promise<{ readonly senders: readonly Sender[]; readonly exercises: readonly string[] }> {
  const userId = await house.auth.createTeacher('Hesper Dunnock', 'hesper@tidewell.example', 'saltpans-and-hills');
  const teacher: Teacher = { role: 'teacher', userId, name: 'Hesper Dunnock' };
  const code = newClassCode();
  const classId = await createClass(house, teacher, 'Tidewell Evening Studio', 'white-is-one', code);
  const exercises: string[] = [];
  for (let k = 0; k < Math.ceil(handIns / EVENING.students); k++) {
    const set = { title: `Nine greys, ${k + 1}`, note: '', dueAt: null, terms: defaultTerms('scale') };
    exercises.push(await setExercise(house, teacher, classId, set));
  }
  const senders: Sender[] = [];
  for (let k = 0; k < EVENING.students; k++) {
    const { code: own } = await addStudent(house, teacher, classId, `Student ${k + 1}`);
    const signedIn = await house.auth.signInStudent(code, own);
    const { name, value } = await house.auth.cookie(signedIn?.token ?? '');
    senders.push({ cookie: `${name}=${encodeURIComponent(value)}` });
  }
  return { senders, exercises };
}

/** As many different files of one photographed sheet as are asked for. */
async function photographs(seed: number, many: number): Promise<Buffer[]> {
  const { megapixels } = EVENING;
  const ids = { exercise: null, student: null };
  const sheet = await paintedSheet(9, 'a4', planFor('fine', 9, seed), seed, 'nominal', ids, false, dpiFor(megapixels));
  const first = await jpegOf(sheet, 'window', seed, megapixels);
  return Promise.all(
    Array.from({ length: many }, (_, k) =>
      sharp(first)
        .linear(1, k / 40)
        .jpeg({ quality: 90 })
        .toBuffer(),
    ),
  );
}

/** Sends a picture until it is acknowledged, as a person would who sees that it did not go through. */
async function handIn(base: string, sender: Sender, exercise: string, photo: Buffer): Promise<string> {
  for (;;) {
    const body = new FormData();
    body.append('photo', new Blob([new Uint8Array(photo)]), 'sheet.jpg');
    const attemptId = await fetch(`${base}/hand-in/${exercise}`, {
      ...{ method: 'POST', body, headers: { cookie: sender.cookie } },
      signal: AbortSignal.timeout(30_000),
    })
      .then(async (answer) => (answer.ok ? ((await answer.json()) as { attemptId: string }).attemptId : null))
      .catch(() => null);
    if (attemptId !== null) return attemptId;
    await new Promise((done) => setTimeout(done, 500));
  }
}

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
      for (; killed < times; killed++) {
        await new Promise((done) => setTimeout(done, EVENING.everyMs * own.between(0.5, 1.5)));
        district.processes[own.whole(0, district.processes.length - 1)]?.kill();
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
    const waiting = async () => {
      const [found] = await house.db
        .select({ n: count() })
        .from(attempts)
        .where(inArray(attempts.state, [...UNDER_WAY]));
      return found?.n ?? 0;
    };
    await until('all to be measured', async () => (await waiting()) === 0, 10 * LIMIT.measuredMs);
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
    console.log(`\n${handIns} hand-ins by ${EVENING.students} students, ${killed} processes killed`);
    row('', 'lost', 'twice', 'not read', 'sent, s', 'after, s', 'queue, ms');
    row('', lost, twice, unread, allSentMs / 1000, measuredMs / 1000, cost);
    return lost + twice + unread === 0 && measuredMs <= LIMIT.measuredMs && cost <= LIMIT.queueMs;
  } finally {
    await house.close();
    await district.stop();
  }
}
