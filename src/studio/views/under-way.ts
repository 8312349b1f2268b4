/** What is under way in a teacher's exercises: what dries, and which dates get in each other's way. */
import { stagesOf } from '@/core/kinds/table';
import { meetingsOf, zoneOf } from '@/core/planning/meetings';
import { checkTimetable } from '@/core/planning/timetable';
import { type Dated, dryingAt, sameDay } from '@/core/planning/under-way';
import type { exercisesOfTeacher } from '../plan/exercises';

type Work = Awaited<ReturnType<typeof exercisesOfTeacher>>;

interface Of {
  readonly exerciseId: string;
  readonly title: string;
}
export interface UnderWay {
  readonly drying: readonly (Of & { readonly stage: string; readonly until: Date; readonly timeZone: string })[];
  readonly conflicts: readonly (Of & { readonly say: string })[];
  readonly sameDay: readonly (readonly Dated[])[];
}

/** Timetables whose last meeting is over by so long no longer matter. */
const OVER_MS = 31 * 86_400_000;

export function underWay(work: Work, now = new Date()): UnderWay {
  const placed = work.flatMap(({ exercise, class: own }) => {
    if (!exercise.placing || !own.meetings) return [];
    const { timeZone } = own.meetings;
    const last = Object.values(exercise.placing).sort().at(-1);
    if (!last || now.getTime() - Date.parse(last) > OVER_MS) return [];
    const [stages, meetings] = [stagesOf(exercise.terms), meetingsOf(own.meetings)];
    return [{ exerciseId: exercise.id, title: exercise.title, placing: exercise.placing, timeZone, stages, meetings }];
  });
  return {
    drying: placed.flatMap(({ exerciseId, title, placing, timeZone, stages, meetings }) =>
      dryingAt(stages, meetings, placing, timeZone, now).map((d) => ({ exerciseId, title, timeZone, ...d })),
    ),
    conflicts: placed.flatMap(({ exerciseId, title, placing, timeZone, stages, meetings }) => {
      const [first] = checkTimetable(stages, meetings, placing, timeZone).conflicts;
      return first ? [{ exerciseId, title, say: first.say }] : [];
    }),
    sameDay: sameDay(
      work.flatMap(({ exercise: { id, title, dueAt }, class: own }) =>
        dueAt ? [{ id, title, dueAt, classId: own.id, timeZone: zoneOf(own.meetings) }] : [],
      ),
      now,
    ),
  };
}
