/** Another teacher of the sample studio, who was asked about two hand-ins and has answered one. */
import { exercises, handIns, students } from '@/data/schema/tables';
import type { Teacher } from '@/studio/access/actor';
import { inviteTeacher, joinStudio } from '@/studio/staff/colleagues';
import { askedOfTeacher, askOpinion, giveOpinion } from '@/studio/critique/opinions';
import type { House } from '@/studio/house';
import { attemptsAt, currentOf } from '@/studio/views/attempt';
import { and, eq } from 'drizzle-orm';
import { COLLEAGUE } from './world';

interface World {
  readonly house: House;
  readonly teacher: Teacher;
  readonly classId: string;
}

async function attemptOf({ house, classId }: World, title: string, name: string): Promise<string | null> {
  const [own] = await house.db
    .select({ id: handIns.id })
    .from(handIns)
    .innerJoin(exercises, eq(handIns.exerciseId, exercises.id))
    .innerJoin(students, eq(handIns.studentId, students.id))
    .where(and(eq(exercises.classId, classId), eq(exercises.title, title), eq(students.name, name)));
  return (own && currentOf(await attemptsAt(house.db, [own.id]))?.id) ?? null;
}

/** `title` is that of the exercise whose hand-ins are laid before them; `first` and `second` are whose. */
export async function askColleague(world: World, title: string, first: string, second: string): Promise<void> {
  const { house, teacher } = world;
  const code = await inviteTeacher(house, teacher);
  const userId = await joinStudio(house, { code, ...COLLEAGUE });
  const colleague: Teacher = { role: 'teacher', standing: 'teacher', userId, name: COLLEAGUE.name };
  const ask = async (name: string, question: string) => {
    const attemptId = await attemptOf(world, title, name);
    if (attemptId) await askOpinion(house, teacher, attemptId, { of: userId, hidesName: true, question });
  };
  await ask(first, 'Would you send this one back for the wall alone?');
  const [asked] = await askedOfTeacher(house, colleague);
  if (asked)
    await giveOpinion(house, colleague, asked.id, {
      word: 'No: the jug turns, and that was the lesson. Tell them about the wall, and let it pass.',
      verdict: 'pass',
    });
  await ask(second, 'Is the loaf lost, or only quiet?');
}
