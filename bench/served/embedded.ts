/** The same on one machine: hand-ins, words and decisions come while the one process there is is killed again and again. */
import { attempts, critiques, decisions, files } from '@/data/schema/tables';
import { readSettings } from '@/data/settings';
import { chance } from '@/devices/random';
import { openHouse } from '@/studio/house';
import { sweepFiles } from '@/studio/unused-files';
import { eq, inArray } from 'drizzle-orm';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import pLimit from 'p-limit';
import { row } from '../tally';
import { type Action, actionCalled, asking } from './actions';
import { furnish, handIn, photographs, type Sender, STUDENTS, underWay } from './evening';
import { keepRunning, until } from './processes';

const A_ROUND = { handIns: 12, kills: 10 } as const;
const AT_ONCE = 4;
const PORT = 3320;
const BASE = `http://127.0.0.1:${PORT}`;
const START_MS = 60_000;
/** By then all that still waited is measured: nothing can be asked of the rows while the process has them. */
const MEASURED_MS = 90_000;
const HOUR_MS = 3_600_000;
const isUp = async () => (await fetch(`${BASE}/health`)).ok;

/** Asks an action of the Table's; what it said, nothing where nothing came back. */
async function act({ cookie }: Sender, action: Action, args: readonly unknown[]): Promise<string> {
  const { headers, ...init } = asking(action, args);
  return fetch(`${BASE}/table/none`, {
    ...init,
    headers: { ...(headers as Record<string, string>), cookie },
    signal: AbortSignal.timeout(20_000),
  })
    .then((answer) => answer.text())
    .catch(() => '');
}

const isDone = (said: string): boolean => said.includes('"ok":true');
/** How often it was written by now, where that was more often than whoever asked had seen. */
const writtenBy = (said: string): number | null => {
  const written = /"written":(\d+)/.exec(said)?.[1];
  return written === undefined ? null : Number(written);
};

/** Returns whether all that was acknowledged is there, nothing is stuck, and no file is left without an owner. */
export async function benchEmbedded(seed: number, rounds: number): Promise<boolean> {
  const own = chance(seed).fork('embedded');
  const [handIns, kills] = [A_ROUND.handIns * rounds, A_ROUND.kills * rounds];
  const photos = await photographs(seed, handIns);
  const folder = mkdtempSync(path.join(tmpdir(), 'fair-grey-embedded-'));
  const settings = readSettings({ FAIR_GREY_DATA: folder, FAIR_GREY_MIN_FREE: '0' });
  const first = await openHouse(settings);
  const { teacher, senders, exercises } = await furnish(first, handIns).finally(() => first.close());
  const env = { NODE_ENV: 'production' as const, FAIR_GREY_DATA: folder, FAIR_GREY_MIN_FREE: '0', PORT: String(PORT) };
  const server = keepRunning('studio', process.execPath, ['dist/serve.mjs'], { ...process.env, ...env });
  const [changeWord, giveVerdict] = [actionCalled('changeWord'), actionCalled('giveVerdict')];
  const words = new Map<string, string>();
  const seen = new Map<string, number>();
  const decided = new Set<string>();
  let going = true;
  let killed = 0;
  try {
    await until('the studio', isUp, START_MS);
    const killing = (async () => {
      while (killed < kills) {
        await until('the studio', isUp, START_MS);
        await new Promise((done) => setTimeout(done, own.between(0, 6000)));
        if (server.kill()) killed++;
      }
    })();
    const acknowledged: string[] = [];
    const lane = pLimit(AT_ONCE);
    const sending = Promise.all(
      photos.map((photo, k) =>
        lane(async () => {
          const exercise = exercises[Math.floor(k / STUDENTS)] as string;
          acknowledged.push(await handIn(BASE, senders[k % senders.length] as Sender, exercise, photo));
        }),
      ),
    );
    const teaching = (async () => {
      for (let k = 0; going; k++) {
        const attempt = acknowledged[own.whole(0, Math.max(0, acknowledged.length - 1))];
        if (attempt && !decided.has(attempt)) {
          const word = `Word ${k}`;
          const said = await act(teacher, changeWord, [attempt, word, seen.get(attempt) ?? 0]);
          // A word whose answer was cut off by a kill may have been kept.
          const written = writtenBy(said);
          if (written !== null) seen.set(attempt, written);
          if (isDone(said)) {
            words.set(attempt, word);
            seen.set(attempt, (seen.get(attempt) ?? 0) + 1);
          }
          if (k % 3 === 0 && isDone(await act(teacher, giveVerdict, [attempt, 'again']))) decided.add(attempt);
        }
        await new Promise((done) => setTimeout(done, 100));
      }
    })();
    await killing;
    await sending;
    going = false;
    await teaching;
    await server.stop();

    // One start more, and nothing else.
    const again = keepRunning('studio', process.execPath, ['dist/serve.mjs'], { ...process.env, ...env });
    await until('the studio', isUp, START_MS);
    await new Promise((done) => setTimeout(done, MEASURED_MS));
    await again.stop();

    const house = await openHouse(settings);
    try {
      const kept = await house.db.select().from(attempts).where(inArray(attempts.id, acknowledged));
      const said = new Map((await house.db.select().from(critiques)).map((c) => [c.attemptId, c.word]));
      const standing = new Set((await house.db.select().from(decisions)).map((d) => d.attemptId));
      // A later word whose answer the kill cut off may stand in place of the last one that was acknowledged.
      const number = (word: string | undefined) => Number(word?.split(' ')[1] ?? -1);
      const lostWords = [...words].filter(([id, word]) => number(said.get(id)) < number(word)).length;
      const lost =
        acknowledged.length - kept.length + lostWords + [...decided].filter((id) => !standing.has(id)).length;
      const stuck = await underWay(house);
      await sweepFiles(house, new Date(Date.now() + 25 * HOUR_MS));
      // Everything but what nobody needs is still there.
      const gone = (await Promise.all(kept.map((a) => house.files.has(a.photoHash)))).filter(
        (isThere) => !isThere,
      ).length;
      let ownerless = 0;
      for await (const { hash } of house.files.list())
        if ((await house.db.select().from(files).where(eq(files.hash, hash))).length === 0) ownerless++;
      console.log(`\n${handIns} hand-ins, ${words.size} words, ${decided.size} decisions, ${killed} kills`);
      row('', 'lost', 'stuck', 'ownerless', 'swept');
      row('', lost, stuck, ownerless, gone);
      return lost + stuck + ownerless + gone === 0;
    } finally {
      await house.close();
    }
  } finally {
    going = false;
    await server.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}
