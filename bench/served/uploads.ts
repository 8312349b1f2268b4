/** A thousand bad files over all doors that take one: each is answered with a sentence, and nothing ends or hangs. */
import { readSettings } from '@/data/settings';
import { chance } from '@/devices/random';
import { openHouse } from '@/studio/house';
import pLimit from 'p-limit';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { doorsOf } from './doors';
import { furnish, STUDENTS } from './evening';
import { keepRunning, until } from './processes';
import { row } from '../tally';
import { mutated, mutatedText, WHOLE_TEXTS, wholeFiles } from './mutations';

const FILES = 100;
const AT_ONCE = 4;
const PORT = 3310;
const LIMIT_MS = 30_000;
const START_MS = 60_000;
const BASE = `http://127.0.0.1:${PORT}`;

/** Returns whether every file was answered, none with a failure of ours, and the process went on through all of them. */
export async function benchUploads(seed: number, rounds: number): Promise<boolean> {
  const own = chance(seed).fork('uploads');
  const folder = mkdtempSync(path.join(tmpdir(), 'fair-grey-uploads-'));
  const house = await openHouse(readSettings({ FAIR_GREY_DATA: folder, FAIR_GREY_MIN_FREE: '0' }));
  const room = await furnish(house, STUDENTS).finally(() => house.close());
  const whole = await wholeFiles(own);
  const env = { NODE_ENV: 'production' as const, FAIR_GREY_DATA: folder, FAIR_GREY_MIN_FREE: '0', PORT: String(PORT) };
  const server = keepRunning('studio', process.execPath, ['dist/serve.mjs'], { ...process.env, ...env });
  try {
    await until('the studio', async () => (await fetch(`${BASE}/health`)).ok, START_MS);
    const doors = doorsOf(room, () => own.whole(0, STUDENTS - 1));
    const lane = pLimit(AT_ONCE);
    const wrong: string[] = [];
    let longest = 0;
    const answers = new Map<string, number>();
    const asked = Array.from({ length: FILES * rounds }, (_, k) => {
      const [door, send] = doors[k % doors.length] as (typeof doors)[number];
      const file = whole[own.whole(0, whole.length - 1)] as (typeof whole)[number];
      const other = whole[own.whole(0, whole.length - 1)] as (typeof whole)[number];
      const text = WHOLE_TEXTS[own.whole(0, WHOLE_TEXTS.length - 1)] as string;
      const { at, who, init } = send(mutated(own, file, other), mutatedText(own, text));
      return lane(async () => {
        const start = performance.now();
        const said = await fetch(BASE + at, {
          ...init,
          headers: { ...(init.headers as Record<string, string>), cookie: who.cookie },
          signal: AbortSignal.timeout(2 * LIMIT_MS),
        })
          .then(async (answer) => ({ status: answer.status, text: await answer.text() }))
          .catch((error: unknown) => ({ status: 0, text: String(error) }));
        const took = performance.now() - start;
        const kind = `${door} ${said.status}`;
        answers.set(kind, (answers.get(kind) ?? 0) + 1);
        longest = Math.max(longest, took);
        if (said.status === 0 || said.status >= 500 || took > LIMIT_MS)
          wrong.push(
            `${door}, ${file.name}, no. ${k}: ${said.status} after ${Math.round(took)} ms: ${said.text.slice(0, 120)}`,
          );
      });
    });
    await Promise.all(asked);
    console.log(`\n${FILES * rounds} bad files over ${doors.length} doors`);
    row('', 'wrong', 'ended', 'longest, s');
    row('', wrong.length, server.ends(), longest / 1000);
    console.log(
      `  ${[...answers]
        .toSorted()
        .map(([kind, times]) => `${kind}: ${times}`)
        .join('; ')}`,
    );
    for (const line of wrong.slice(0, 12)) console.log(`  ${line}`);
    return wrong.length === 0 && server.ends() === 0;
  } finally {
    await server.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}
