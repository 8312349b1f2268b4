/** What the sample class is besides its pictures: an assistant, a scheme with some grades, a note, post and an announcement. */
import type { Scheme } from '@/core/grading/scheme';
import { attempts, decisions, exercises, handIns } from '@/data/schema/tables';
import type { Student, Teacher } from '@/studio/access/actor';
import { bringAlong } from '@/studio/class/several';
import { writeNote } from '@/studio/class/notes';
import { grade, setScheme } from '@/studio/grading/grading';
import type { House } from '@/studio/house';
import { setAddress } from '@/studio/post/addresses';
import { announce } from '@/studio/post/mailing';
import { inviteTeacher, joinStudio } from '@/studio/staff/colleagues';
import { shareClass } from '@/studio/staff/sharing';
import { and, eq, isNotNull } from 'drizzle-orm';
import { ASSISTANT } from './world';

interface World {
  readonly house: House;
  readonly teacher: Teacher;
  readonly classId: string;
}

const SCHEME: Scheme = {
  version: 1,
  shown: true,
  criteria: [
    { id: 'steps', name: 'Values in their place', figure: 'error', by: { kind: 'points', most: 10 } },
    {
      id: 'care',
      name: 'Care of the paint',
      figure: null,
      by: {
        kind: 'levels',
        levels: [
          { name: 'begun', words: 'The paint is streaky, or runs over its lines.', points: 1 },
          { name: 'coming', words: 'Most of it is even; a place or two were left.', points: 3 },
          { name: 'secure', words: 'Even and opaque, with clean edges.', points: 4 },
        ],
      },
    },
  ],
};
/** Grades of those that were decided, one after the other: points, and a step. */
const GRADES = [
  [9, 'secure'],
  [5, 'coming'],
  [7.5, 'coming'],
  [8, 'secure'],
] as const;

/** `saturdayId` is another class of the same teacher, into which one of the students comes too. */
export async function keepTheClass(
  { house, teacher, classId }: World,
  people: readonly Student[],
  saturdayId: string,
): Promise<void> {
  const code = await inviteTeacher(house, teacher, 'assistant');
  await shareClass(house, teacher, classId, await joinStudio(house, { code, ...ASSISTANT }));
  await setScheme(house, teacher, classId, SCHEME);
  const decided = await house.db
    .select({ id: attempts.id })
    .from(decisions)
    .innerJoin(attempts, eq(decisions.attemptId, attempts.id))
    .innerJoin(handIns, eq(attempts.handInId, handIns.id))
    .innerJoin(exercises, eq(handIns.exerciseId, exercises.id))
    .where(and(eq(exercises.classId, classId), isNotNull(attempts.number)))
    .orderBy(attempts.seq);
  for (const [k, { id }] of decided.entries()) {
    const [points, level] = GRADES[k % GRADES.length] ?? GRADES[0];
    await grade(house, teacher, id, 'steps', { kind: 'points', points });
    await grade(house, teacher, id, 'care', { kind: 'level', level });
  }
  const [maren, , , , , joss] = people;
  if (maren) await writeNote(house, teacher, maren.studentId, 'Sees the dark end well; hurries the last three steps.');
  if (joss) {
    await setAddress(house, teacher, joss.studentId, 'kettleby@harbour.example');
    await bringAlong(house, teacher, saturdayId, joss.studentId);
  }
  await announce(house, teacher, classId, {
    title: 'Next Thursday outdoors',
    text: 'We meet at the breakwater if it stays dry. Bring a board, a rag and something to sit on.',
  });
}
