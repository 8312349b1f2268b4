/** Every route and action of the build is knocked at by everybody: who may not finds nothing, and changes nothing. */
import { newClassCode, newId } from '@/data/schema/ids';
import { readSettings } from '@/data/settings';
import { attempts, critiques, handIns, printers, referencePictures, setUps, tray } from '@/data/schema/tables';
import { emptySetUp } from '@/core/reference/set-up';
import { untouched } from '@/core/reference/preparation';
import { defaultTerms } from '@/core/kinds/table';
import type { Teacher } from '@/studio/access/actor';
import { addStudent, createClass } from '@/studio/class/people';
import { keepFile } from '@/studio/hand-in/receive';
import { type House, openHouse } from '@/studio/house';
import { setExercise } from '@/studio/plan/exercises';
import { shareClass } from '@/studio/staff/sharing';
import { expect, test } from '@playwright/test';
import { readFileSync } from 'node:fs';
import sharp from 'sharp';
import { type Action, actionsOfBuild, asking } from '../bench/served/actions';
import { type ServedStudio, serveStudio } from './served-studio';
import { ACTIONS, DOORS, NOBODYS, PEOPLE, ROUTES, type Things, type Who } from './who-may';

const built = (name: string) => JSON.parse(readFileSync(`.next/server/${name}.json`, 'utf8')) as unknown;
const paths = Object.keys(built('app-paths-manifest') as object);
const actions = actionsOfBuild();

let studio: ServedStudio | undefined;
let things: Things;
const cookies = new Map<Who, string>();

/** A room with something of everything, and another one. */
async function furnish(house: House): Promise<Things> {
  const teacherIn = async (who: Who, standing: Teacher['standing']): Promise<Teacher> => {
    const email = `${newId()}@tidewell.example`;
    const userId = await house.auth.createTeacher('Hesper Dunnock', email, 'saltpans-and-hills', standing);
    await letIn(who, await house.auth.signInTeacher(email, 'saltpans-and-hills'));
    return { role: 'teacher', standing, userId, name: 'Hesper Dunnock' };
  };
  const letIn = async (who: Who, signedIn: { token: string } | null) => {
    const { name, value } = await house.auth.cookie(signedIn?.token ?? '');
    cookies.set(who, `${name}=${encodeURIComponent(value)}`);
  };
  const enter = async (who: Who, classId: string, code: string, teacher: Teacher) => {
    const { id, code: own } = await addStudent(house, teacher, classId, 'Bea Lindqvarn');
    await letIn(who, await house.auth.signInStudent(code, own));
    return id;
  };
  const [teacher, other] = [await teacherIn('teacher', 'owner'), await teacherIn('other teacher', 'teacher')];
  const assistant = await teacherIn('assistant', 'assistant');
  const [code, otherCode] = [newClassCode(), newClassCode()];
  const classId = await createClass(house, teacher, 'Tidewell', 'white-is-one', code);
  await shareClass(house, teacher, classId, assistant.userId);
  const otherClass = await createClass(house, other, 'Elsewhere', 'white-is-one', otherCode);
  const studentId = await enter('student', classId, code, teacher);
  await enter('other student', classId, code, teacher);
  await enter('student elsewhere', otherClass, otherCode, other);
  await house.auth.createStudent('Newcomer', 'NOCLAS', 'NEWCOMER');
  await letIn('newcomer', await house.auth.signInStudent('NOCLAS', 'NEWCOMER'));

  const set = { title: 'Nine greys', note: '', dueAt: null, terms: defaultTerms('scale') };
  const exerciseId = await setExercise(house, teacher, classId, set);
  const grey = await sharp({ create: { width: 90, height: 60, channels: 3, background: '#777' } })
    .jpeg()
    .toBuffer();
  const hash = await keepFile(house, grey, 'image/jpeg');
  const [handInId, attemptId, trayId, strayId, setUpId, printerId, referenceId] = Array.from({ length: 7 }, newId) as [
    string,
    string,
    string,
    string,
    string,
    string,
    string,
  ];
  await house.db.insert(handIns).values({ id: handInId, exerciseId, studentId, state: 'waiting' });
  const pictures = { photoHash: hash, previewHash: hash, stripHash: hash, orientation: 1 };
  await house.db.insert(attempts).values({ id: attemptId, handInId, number: 1, state: 'measured', ...pictures });
  await house.db.insert(critiques).values({ attemptId });
  const another = await keepFile(house, await sharp(grey).negate().jpeg().toBuffer(), 'image/jpeg');
  for (const [id, photoHash] of [
    [trayId, hash],
    [strayId, another],
  ] as const)
    await house.db.insert(tray).values({
      ...{ id, classId, photoHash, smallHash: hash, orientation: 1 },
      ...{ name: 'stray.jpg', reason: 'No code was found.' },
    });
  const { userId: teacherId } = teacher;
  await house.db.insert(setUps).values({ id: setUpId, teacherId, title: 'Three jars', setUp: emptySetUp() });
  await house.db.insert(printers).values({ id: printerId, teacherId, name: 'By the door', readings: [] });
  await house.db.insert(referencePictures).values({
    ...{ id: referenceId, teacherId, title: 'A jug', source: 'painted here', licence: 'ours' },
    ...{ pictureHash: hash, workingHash: hash, smallHash: hash, width: 90, height: 60 },
    preparation: untouched(1.5),
  });
  return { classId, studentId, exerciseId, handInId, attemptId, trayId, strayId, setUpId, printerId, referenceId };
}

test.beforeAll(async () => {
  studio = await serveStudio(async (folder) => {
    const pool = { run: () => Promise.reject(new Error('No work is done yet.')), close: () => Promise.resolve() };
    const house = await openHouse(readSettings({ FAIR_GREY_DATA: folder, FAIR_GREY_MIN_FREE: '0' }), pool);
    things = await furnish(house).finally(() => house.close());
  });
});
test.afterAll(() => studio?.close());

const REST = { kind: 'small', which: 'wanted', what: 'sheets', medium: 'acrylic' };
const ATTEMPT_KIND = 'preview';

/** The address of a route of the build, with what there is in the room. */
function addressOf(path: string, query = ''): string {
  const kinds = path.startsWith('/picture') ? { ...REST, kind: ATTEMPT_KIND } : REST;
  const known: Record<string, string> = { ...kinds, ...things };
  const at = (path + query)
    .replace(/\/(page|route)(?=$|\?)/, '')
    .replace(/\/\(studio\)/, '')
    .replace(/\[(\w+)\]/g, (_, name: string) => known[name] ?? name);
  return `${studio?.base ?? ''}${at || '/'}`;
}

interface Answer {
  readonly status: number;
  readonly text: string;
  /** Where an action sends whoever asked it. */
  readonly sentTo: string | null;
}

async function ask(who: Who, url: string, more: RequestInit = {}): Promise<Answer> {
  const cookie = cookies.get(who);
  const stop = new AbortController();
  const headers = { ...(more.headers as Record<string, string>), ...(cookie && { cookie }) };
  const answer = await fetch(url, { redirect: 'manual', signal: stop.signal, ...more, headers });
  // News never ends: that it begins is enough.
  const isNews = answer.headers.get('content-type') === 'text/event-stream';
  const text = isNews ? '' : await answer.text();
  stop.abort();
  return { status: answer.status, text, sentTo: answer.headers.get('x-action-redirect')?.split(';')[0] ?? null };
}
/** Nothing is found there, or one is sent elsewhere; whoever drafts for a class is told in a sentence that others do that. */
const isOut = (status: number, who?: Who) =>
  status === 404 || (status >= 300 && status < 400) || (who === 'assistant' && status === 422);

test('every route and every action of the build has its entry, and none is left over', () => {
  expect(paths.toSorted()).toEqual([...Object.keys(ROUTES), ...NOBODYS].toSorted());
  expect(actions.map(({ name }) => name).toSorted()).toEqual([...Object.keys(ACTIONS), ...DOORS].toSorted());
});

for (const who of PEOPLE)
  test(`${who} comes in where they may, and nowhere else`, async () => {
    const wrong: string[] = [];
    for (const [path, { may, post, empty, query = '' }] of Object.entries(ROUTES)) {
      const { status } = await ask(who, addressOf(path, query), post ? { method: 'POST', body: '' } : {});
      if (status >= 500) wrong.push(`${path}: ${status}`);
      const allowed = may.includes(who);
      if (!allowed && !isOut(status, who)) wrong.push(`${path} lets ${who} in: ${status}`);
      if (allowed && !empty && isOut(status)) wrong.push(`${path} keeps ${who} out: ${status}`);
    }
    expect(wrong).toEqual([]);
  });

const act = (who: Who, action: Action, args: readonly unknown[]) =>
  ask(who, addressOf(action.page.replace('/app/', '/')), asking(action, args));
/** Where those are sent who may not: to sign in, or back to their own side. */
const AWAY = ['/sign-in', '/begin', '/my', '/'];
const NOT_HERE = 'This is not here (any more).';

test('an action does nothing for whoever may not, and finds what it is about for whoever may', async () => {
  const wrong: string[] = [];
  for (const [name, { may, empty, with: asked }] of Object.entries(ACTIONS)) {
    const action = actions.find((a) => a.name === name);
    if (!action) continue;
    const without = PEOPLE.filter((who) => !may.includes(who));
    for (const who of [...without, ...may]) {
      const { status, text, sentTo } = await act(who, action, asked(things));
      if (status >= 500) wrong.push(`${name} fails for ${who}: ${status}`);
      const isDone = text.includes('"ok":true') || (sentTo !== null && !AWAY.includes(sentTo));
      const isKeptOut = isOut(status) || text.includes(NOT_HERE) || AWAY.includes(sentTo ?? '');
      if (!may.includes(who) && isDone) wrong.push(`${name} is done for ${who}`);
      if (may.includes(who) && !empty && isKeptOut) wrong.push(`${name} is not done for ${who}: ${status}`);
    }
  }
  expect(wrong).toEqual([]);
});
