/** Who is at the door of a page or action, and where they are sent when they may not pass. */
import { type Actor, actorOf, NotFound, type Student, type Teacher } from '@/studio/access/actor';
import { isNewHouse } from '@/studio/class/people';
import { type House, theHouse } from '@/studio/house';
import { cookies } from 'next/headers';
import { notFound, redirect } from 'next/navigation';

/** Who calls, by their cookies as an action left them: whoever goes on by another session is known by it while their page is made anew. */
export const whoCalls = async (): Promise<Headers> => new Headers({ cookie: (await cookies()).toString() });

export async function visitor(): Promise<{ house: House; actor: Actor | null }> {
  const house = await theHouse();
  return { house, actor: await actorOf(house, await whoCalls()) };
}

export async function teacherOnly(): Promise<{ house: House; teacher: Teacher }> {
  const { house, actor } = await visitor();
  if (!actor) redirect((await isNewHouse(house)) ? '/begin' : '/sign-in');
  if (actor.role !== 'teacher') redirect('/my');
  return { house, teacher: actor };
}

export async function studentOnly(): Promise<{ house: House; student: Student }> {
  const { house, actor } = await visitor();
  if (!actor) redirect('/sign-in');
  if (actor.role !== 'student') redirect('/');
  return { house, student: actor };
}

/** A page's data; what the visitor may not see is not found. */
export async function orNotFound<T>(load: Promise<T>): Promise<T> {
  try {
    return await load;
  } catch (error) {
    if (error instanceof NotFound) notFound();
    throw error;
  }
}
