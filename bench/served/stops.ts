/**
 * For how long the one process of a studio answers nobody else, route by route: the sample world is walked through by its links,
 * and each route is asked for while it is watched how late its event loop comes round.
 */
import { routesOfBuild } from '@/app/server/routes-of-build';
import { readSettings } from '@/data/settings';
import { CLASS, TEACHER } from '@/demo/world';
import { openHouse } from '@/studio/house';
import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { quantile, row } from '../tally';
import { doorsOf } from './doors';
import { letIn, photographs, type Sender } from './evening';
import { WHOLE_TEXTS } from './mutations';
import { keepRunning, until } from './processes';

const PORT = 3340;
const METRICS = `127.0.0.1:${PORT + 1}`;
const BASE = `http://127.0.0.1:${PORT}`;
const START_MS = 60_000;
const LIMIT_MS = 50;
/** So many addresses of each route, and so often each. */
const ADDRESSES = 12;
const TIMES = 2;
/** A stream of news has no end: it is left after this. */
const LISTEN_MS = 500;
const MEGAPIXELS = 12;
const CODE_OF_BEA = 'FRESHPAN';
/** Fewer than this are reached only where the sample world is not there. */
const LEAST_ROUTES = 35;

const LINK = /(?:href|src)="(\/[^"#]*)"/g;
const BEGINNINGS = {
  teacher: ['/', '/rack', '/plan', '/ledger', '/references', '/palette'],
  student: ['/my'],
} as const;

/** At rest it comes round after this, ms. */
const AT_REST_MS = 10;

/** How late the event loop came round at the most since it was asked last, ms. */
async function latest(): Promise<number> {
  const text = await (await fetch(`http://${METRICS}/metrics`)).text();
  const roundMs = 1000 * Number(/^fair_grey_nodejs_eventloop_lag_max_seconds ([\d.e+-]+)$/m.exec(text)?.[1]);
  return Math.max(0, roundMs - AT_REST_MS);
}

/** What an address answers, whole; empty of what is no page. */
async function ask(address: string, { cookie }: Sender): Promise<string> {
  const signal = AbortSignal.timeout(address.startsWith('/live/') ? LISTEN_MS : START_MS);
  try {
    const answer = await fetch(BASE + address, { headers: { cookie }, signal, redirect: 'manual' });
    const bytes = await answer.arrayBuffer();
    return answer.headers.get('content-type')?.includes('html') ? new TextDecoder().decode(bytes) : '';
  } catch (error) {
    if (signal.aborted && address.startsWith('/live/')) return '';
    throw error;
  }
}

interface Visit {
  readonly address: string;
  readonly who: Sender;
}

/** Some addresses of every route that can be reached by links, each asked for once. */
async function walk(people: Readonly<Record<keyof typeof BEGINNINGS, Sender>>): Promise<Map<string, Visit[]>> {
  const routeOf = routesOfBuild();
  const found = new Map<string, Visit[]>();
  const seen = new Set<string>();
  for (const [who, sender] of Object.entries(people) as [keyof typeof BEGINNINGS, Sender][]) {
    const ahead: string[] = [...BEGINNINGS[who]];
    for (let address = ahead.shift(); address !== undefined; address = ahead.shift()) {
      const route = routeOf(address.split('?')[0] ?? '');
      const visits = found.get(route) ?? [];
      if (seen.has(`${who} ${address}`) || visits.length >= ADDRESSES || route.startsWith('/_next')) continue;
      seen.add(`${who} ${address}`);
      found.set(route, [...visits, { address, who: sender }]);
      const html = await ask(address, sender);
      ahead.push(...[...html.matchAll(LINK)].map(([, link = '']) => link.replaceAll('&amp;', '&')));
    }
  }
  return found;
}

/** Returns whether no route keeps the process from everybody else for longer than its limit. */
export async function benchStops(seed: number): Promise<boolean> {
  const folder = mkdtempSync(path.join(tmpdir(), 'fair-grey-stops-'));
  const own = { FAIR_GREY_DATA: folder, FAIR_GREY_DEMO: '1', PORT: String(PORT), FAIR_GREY_METRICS: METRICS };
  const env = { ...process.env, NODE_ENV: 'production' as const, FAIR_GREY_LOG: 'silent', ...own };
  spawnSync(process.execPath, ['dist/demo.mjs'], { env, stdio: 'ignore' });
  const house = await openHouse(readSettings(own));
  const people = {
    teacher: await letIn(house, await house.auth.signInTeacher(TEACHER.email, TEACHER.password)),
    student: await letIn(house, await house.auth.signInStudent(CLASS.code, CODE_OF_BEA)),
  };
  await house.close();
  const server = keepRunning('studio', process.execPath, ['dist/serve.mjs'], env);
  try {
    await until('the studio', async () => (await fetch(`${BASE}/health`)).ok, START_MS);
    const visits = await walk(people);
    const stops = new Map<string, number[]>();
    for (const [route, some] of visits)
      for (const { address, who } of some)
        for (let time = 0; time < TIMES; time++) {
          await latest();
          await ask(address, who);
          stops.set(route, [...(stops.get(route) ?? []), await latest()]);
        }
    const [photo] = await photographs(seed, 1, MEGAPIXELS);
    const idIn = (route: string) => visits.get(route)?.[0]?.address.split('/').at(-1) ?? '';
    const evening = { ...people, classId: idIn('/rack/[classId]'), exercises: [idIn('/my/[exerciseId]')] };
    for (const [door, send] of doorsOf({ ...evening, senders: [people.student] }, () => 0)) {
      const { at, who, init } = send(photo as Buffer, WHOLE_TEXTS[0] as string);
      const headers = { ...(init.headers as Record<string, string>), cookie: who.cookie };
      await latest();
      await (await fetch(BASE + at, { ...init, headers })).arrayBuffer();
      stops.set(door, [await latest()]);
    }
    console.log(`\nLongest stops of ${stops.size} routes and doors, ms`);
    row('', 'usual', 'longest');
    const longest = (route: string) => Math.max(...(stops.get(route) ?? []));
    for (const [route, times] of [...stops].toSorted(([a], [b]) => longest(b) - longest(a)))
      console.log(
        `  ${route.padEnd(44)}${quantile(times, 0.5).toFixed(1).padStart(8)}${longest(route).toFixed(1).padStart(8)}`,
      );
    return stops.size >= LEAST_ROUTES && [...stops.keys()].every((route) => longest(route) <= LIMIT_MS);
  } finally {
    await server.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}
