/** Rows of a rack from what the studio knows of it. */
import { labelsOf } from '@/core/kinds/table';
import { isoDayIn, zoneOf } from '@/core/planning/meetings';
import type { Glance } from '@/studio/views/glances';
import type { RackCell, rackOf } from '@/studio/views/rack';
import { seenAtAGlance } from '../instruments/hand-in-seen';
import type { MarkedState } from '../parts/StateMark';
import type { RackRowData } from './rack-rows';

type Rack = Awaited<ReturnType<typeof rackOf>>;

const stateOf = (glance: Glance | null): MarkedState => (glance?.refused ? 'refused' : (glance?.state ?? 'open'));

function openCell(glance: Glance, labels: readonly string[]): RackRowData['open'] {
  const { handInId, attemptId, attempt, cameAt, figures, refused } = glance;
  return {
    ...{ handInId, attemptId, attempt, cameAt },
    seen: attemptId && !refused ? seenAtAGlance(glance, labels) : null,
    need: figures?.need ?? null,
    error: figures?.error ?? null,
  };
}

/** A row a student, with the exercise that is open and a mark for each of the others. */
export function rowsOf({ class: own, students, exercises, open, cells }: Rack): RackRowData[] {
  if (!open) return [];
  const zone = zoneOf(own.meetings);
  const labels = labelsOf(open.terms, own.numbering);
  const cellOf = new Map<string, RackCell>(cells.map((c) => [`${c.studentId} ${c.exerciseId}`, c]));
  const others = exercises.filter((e) => e.id !== open.id);
  return students.flatMap(({ id, name, number }) => {
    const cell = cellOf.get(`${id} ${open.id}`);
    if (!cell) return [];
    const { glance, allowance, date } = cell;
    return [
      {
        studentId: id,
        ...{ name, number, allowance },
        state: stateOf(glance),
        open: glance && openCell(glance, labels),
        date: { kind: date.kind, lateMs: date.lateMs, until: date.dueAt ? isoDayIn(date.dueAt, zone) : '' },
        others: others.map((e) => {
          const other = cellOf.get(`${id} ${e.id}`)?.glance ?? null;
          return { exerciseId: e.id, handInId: other?.handInId ?? null, state: stateOf(other) };
        }),
      },
    ];
  });
}
