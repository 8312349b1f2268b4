import { meetingsOf } from '@/core/planning/meetings';
import { checkTimetable } from '@/core/planning/timetable';
import { timetableToIcs } from '@/print/timetable-ics';
import { exerciseFor, NotFound } from '@/studio/access/actor';
import { timetableOf } from '@/studio/plan/timetables';
import { answer, nothingHere } from '../../api';

/** The timetable of an exercise as a calendar file. */
export async function GET(_: Request, { params }: { params: Promise<{ exerciseId: string }> }): Promise<Response> {
  const { exerciseId } = await params;
  return answer(async (house, actor) => {
    if (actor.role !== 'teacher') throw new NotFound();
    const [{ exercise, class: own }, plan] = await Promise.all([
      exerciseFor(house, actor, exerciseId),
      timetableOf(house, actor, exerciseId),
    ]);
    if (!plan) return nothingHere();
    const timetable = checkTimetable(plan.stages, meetingsOf(plan.rule), plan.placing, plan.rule.timeZone);
    return new Response(timetableToIcs(timetable, { id: exercise.id, title: exercise.title, className: own.name }), {
      headers: {
        'Content-Type': 'text/calendar; charset=utf-8',
        'Content-Disposition': 'attachment; filename="timetable.ics"',
      },
    });
  });
}
