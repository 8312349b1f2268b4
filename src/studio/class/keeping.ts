/** Hand-ins are kept as long as their class says, and then deleted for good. */
import { attempts, classes, exercises, handIns } from '@/data/schema/tables';
import { eq, isNotNull, max, sql } from 'drizzle-orm';
import type { House } from '../house';
import { deleteHandIns } from './deleting';

/** Days after the last picture that a class can choose; null is until somebody deletes them. */
export const KEEP_DAYS = [90, 180, 365, 730] as const;

/** Deleted at once, so that nobody waits long for others. */
const AT_ONCE = 50;

/** Deletes what was kept for long enough; returns how many hand-ins went. */
export async function deleteWhatIsOver(house: House, now = new Date()): Promise<number> {
  const last = max(attempts.createdAt);
  const over = await house.db
    .select({ id: handIns.id })
    .from(handIns)
    .innerJoin(exercises, eq(handIns.exerciseId, exercises.id))
    .innerJoin(classes, eq(exercises.classId, classes.id))
    .innerJoin(attempts, eq(attempts.handInId, handIns.id))
    .where(isNotNull(classes.keepDays))
    .groupBy(handIns.id, classes.keepDays)
    .having(sql`${last} < ${now.toISOString()}::timestamptz - make_interval(days => ${classes.keepDays})`)
    .limit(AT_ONCE);
  if (over.length === 0) return 0;
  await deleteHandIns(
    house,
    over.map((o) => o.id),
  );
  return over.length;
}
