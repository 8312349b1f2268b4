/** Classes that several teach: whoever made one shares it, and takes that back. */
import { classTeachers, type Standing, user } from '@/data/schema/tables';
import { and, asc, eq } from 'drizzle-orm';
import { classOf, NotFound, ownClass, type Teacher } from '../access/actor';
import type { House } from '../house';
import { writeDown } from './chronicle';
import { colleaguesOf } from './colleagues';

export interface Sharing {
  /** Whether it is whoever asks who may share it. */
  readonly isOwn: boolean;
  readonly owner: string;
  readonly with: readonly { readonly id: string; readonly name: string; readonly standing: Standing }[];
  /** Those who could come to it. */
  readonly others: readonly { readonly id: string; readonly name: string; readonly standing: Standing }[];
}

export async function sharingOf(house: House, teacher: Teacher, classId: string): Promise<Sharing> {
  const own = await classOf(house, teacher, classId);
  const shared = await house.db
    .select({ id: user.id, name: user.name, standing: user.standing })
    .from(classTeachers)
    .innerJoin(user, eq(classTeachers.teacherId, user.id))
    .where(eq(classTeachers.classId, classId))
    .orderBy(asc(user.name), asc(user.id));
  const [owner] = await house.db.select({ name: user.name }).from(user).where(eq(user.id, own.teacherId));
  const isOwn = own.teacherId === teacher.userId;
  const others = isOwn ? await colleaguesOf(house, teacher) : [];
  return {
    isOwn,
    owner: owner?.name ?? '',
    with: shared.map((s) => ({ ...s, standing: s.standing ?? 'assistant' })),
    others: others.filter(({ id }) => !shared.some((s) => s.id === id)),
  };
}

/** From then on they see the class and all that is handed in to it. Throws NotFound where there is no such colleague. */
export async function shareClass(house: House, teacher: Teacher, classId: string, teacherId: string): Promise<void> {
  await ownClass(house, teacher, classId);
  if (!(await colleaguesOf(house, teacher)).some(({ id }) => id === teacherId)) throw new NotFound();
  await house.db.transaction(async (tx) => {
    await tx.insert(classTeachers).values({ classId, teacherId }).onConflictDoNothing();
    await writeDown(tx, teacher, 'shared-class', { classId });
  });
}

/** What they drafted stays; they see nothing more of the class. */
export async function unshareClass(house: House, teacher: Teacher, classId: string, teacherId: string): Promise<void> {
  await ownClass(house, teacher, classId);
  await house.db.transaction(async (tx) => {
    const gone = and(eq(classTeachers.classId, classId), eq(classTeachers.teacherId, teacherId));
    await tx.delete(classTeachers).where(gone);
    await writeDown(tx, teacher, 'unshared-class', { classId });
  });
}
