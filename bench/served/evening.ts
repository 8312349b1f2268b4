/** An evening's people and pictures: who is in the class, what they send, and how they send it until it has come through. */
import { defaultTerms } from '@/core/kinds/table';
import { newClassCode } from '@/data/schema/ids';
import { attempts } from '@/data/schema/tables';
import { planFor } from '@/devices/paint-conditions';
import type { Teacher } from '@/studio/access/actor';
import { addStudent, createClass } from '@/studio/class/people';
import type { House } from '@/studio/house';
import { setExercise } from '@/studio/plan/exercises';
import { count, inArray } from 'drizzle-orm';
import sharp from 'sharp';
import { dpiFor, jpegOf, paintedSheet } from '../stage';

export const STUDENTS = 60;
/** Small ones where it is not about their cost. */
const MEGAPIXELS = 4;

/** Somebody who is signed in. */
export interface Sender {
  readonly cookie: string;
}

export interface Evening {
  readonly classId: string;
  readonly teacher: Sender;
  readonly senders: readonly Sender[];
  readonly exercises: readonly string[];
}

/** Somebody as their browser has them once they are in. */
export async function letIn({ auth }: House, signedIn: { readonly token: string } | null): Promise<Sender> {
  const { name, value } = await auth.cookie(signedIn?.token ?? '');
  return { cookie: `${name}=${encodeURIComponent(value)}` };
}

/** A class of sixty, with an exercise for each of their pictures. */
export async function furnish(house: House, handIns: number): Promise<Evening> {
  const userId = await house.auth.createTeacher('Hesper Dunnock', 'hesper@tidewell.example', 'saltpans-and-hills');
  const teacher: Teacher = { role: 'teacher', standing: 'teacher', userId, name: 'Hesper Dunnock' };
  const code = newClassCode();
  const classId = await createClass(house, teacher, 'Tidewell Evening Studio', 'white-is-one', code);
  const exercises: string[] = [];
  for (let k = 0; k < Math.ceil(handIns / STUDENTS); k++) {
    const set = { title: `Nine greys, ${k + 1}`, note: '', dueAt: null, terms: defaultTerms('scale') };
    exercises.push(await setExercise(house, teacher, classId, set));
  }
  const senders: Sender[] = [];
  for (let k = 0; k < STUDENTS; k++) {
    const { code: own } = await addStudent(house, teacher, classId, `Student ${k + 1}`);
    senders.push(await letIn(house, await house.auth.signInStudent(code, own)));
  }
  const signedIn = await house.auth.signInTeacher('hesper@tidewell.example', 'saltpans-and-hills');
  return { classId, senders, exercises, teacher: await letIn(house, signedIn) };
}

/** Attempts that somebody still waits for. */
export async function underWay({ db }: Pick<House, 'db'>): Promise<number> {
  const [found] = await db
    .select({ n: count() })
    .from(attempts)
    .where(inArray(attempts.state, [...UNDER_WAY]));
  return found?.n ?? 0;
}
const UNDER_WAY = ['received', 'queued', 'measuring'] as const;

/** As many different files of one photographed sheet as are asked for. */
export async function photographs(seed: number, many: number, megapixels = MEGAPIXELS): Promise<Buffer[]> {
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
export async function handIn(base: string, sender: Sender, exercise: string, photo: Buffer): Promise<string> {
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
