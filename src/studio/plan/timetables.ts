/** When a class meets, and in which meeting each stage of an exercise begins. */
import { lookMinutes, stagesOf } from '@/core/kinds/table';
import { type MeetingRule, meetingRuleSchema, meetingsOf, overlaps } from '@/core/planning/meetings';
import { checkTimetable, firstTimetable, type Placing, placingSchema } from '@/core/planning/timetable';
import { classes, exercises, students } from '@/data/schema/tables';
import { count, eq } from 'drizzle-orm';
import { classToChange, exerciseFor, exerciseToChange, Refused, type Teacher } from '../access/actor';
import { classesOf } from '../class/people';
import type { House } from '../house';

/** Says when a class meets. Throws Refused where a meeting would overlap one of the teacher's other classes. */
export async function setMeetings(house: House, teacher: Teacher, classId: string, given: MeetingRule): Promise<void> {
  const own = await classToChange(house, teacher, classId);
  const rule = meetingRuleSchema.parse(given);
  const mine = meetingsOf(rule);
  if (mine.length === 0)
    throw new Refused('With these days the class never meets: choose another weekday or a longer term.');
  for (const other of await classesOf(house, teacher)) {
    if (other.id === own.id || !other.meetings) continue;
    const [clash] = overlaps([...mine, ...meetingsOf(other.meetings)]);
    if (clash)
      throw new Refused(
        `On ${clash[0].day} this overlaps a meeting of ${other.name}: choose another time, or leave that day out.`,
      );
  }
  await house.db.update(classes).set({ meetings: rule }).where(eq(classes.id, classId));
}

const toCome = (rule: MeetingRule) => meetingsOf(rule).filter((m) => m.startsAt > new Date());

/** All that the timetable strip of an exercise needs; null while the class has no meetings. */
export async function timetableOf(house: House, teacher: Teacher, exerciseId: string) {
  const { exercise, class: own } = await exerciseFor(house, teacher, exerciseId);
  if (!own.meetings) return null;
  const stages = stagesOf(exercise.terms);
  const [people] = await house.db.select({ n: count() }).from(students).where(eq(students.classId, own.id));
  return {
    rule: own.meetings,
    stages,
    due: exercise.dueAt,
    placing: exercise.placing ?? firstTimetable(stages, toCome(own.meetings)),
    placed: exercise.placing !== null,
    lookMinutes: lookMinutes(exercise.terms, people?.n ?? 0, exercise),
    students: people?.n ?? 0,
  };
}

/** Keeps a timetable as it is, conflicts and all; one without conflicts also says when photographs are due. */
export async function placeStages(house: House, teacher: Teacher, exerciseId: string, given: Placing): Promise<void> {
  const { exercise, class: own } = await exerciseToChange(house, teacher, exerciseId);
  if (!own.meetings) throw new Refused('Say first when the class meets, in the Ledger.');
  const placing = placingSchema.parse(given);
  const { conflicts, dueAt } = checkTimetable(
    stagesOf(exercise.terms),
    meetingsOf(own.meetings),
    placing,
    own.meetings.timeZone,
  );
  await house.db
    .update(exercises)
    .set({ placing, ...(conflicts.length === 0 && dueAt ? { dueAt } : {}) })
    .where(eq(exercises.id, exerciseId));
}
