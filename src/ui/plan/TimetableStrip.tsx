'use client';
/** The timetable of an exercise: meetings in a row, stages to drag among them, drying between, conflicts with what mends them. */
import { type Meeting, type MeetingRule, meetingsOf } from '@/core/planning/meetings';
import type { Stage } from '@/core/planning/stage';
import { checkTimetable, mend, type PlacedStage, type Placing } from '@/core/planning/timetable';
import {
  DndContext,
  type DragEndEvent,
  PointerSensor,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { GripVertical } from 'lucide-react';
import { useMemo, useState, useTransition } from 'react';
import { sayDay, sayIsoDay, sayMoment } from '../parts/dates';

interface Props {
  readonly rule: MeetingRule;
  readonly stages: readonly Stage[];
  readonly placing: Placing;
  readonly placed: boolean;
  /** When the exercise is due; null for no date. */
  readonly due: Date | null;
  readonly lookMinutes: number;
  readonly students: number;
  readonly icsHref: string;
  readonly save: (placing: Placing) => Promise<{ ok: boolean; say?: string }>;
}

const SHOWN = 12;

function StageChip({ stage, troubled, onStep }: { stage: Stage; troubled: boolean; onStep: (by: number) => void }) {
  const { setNodeRef, listeners, attributes, transform, isDragging } = useDraggable({ id: stage.id });
  return (
    <button
      ref={setNodeRef}
      type="button"
      {...listeners}
      {...attributes}
      aria-roledescription="stage to move"
      className={[
        'relative z-10 flex w-full cursor-grab touch-none items-start gap-1 rounded-sm border-2 bg-l97 p-1 text-left text-13',
        troubled ? 'border-dashed border-l10' : 'border-l37',
        isDragging ? 'opacity-80' : '',
      ].join(' ')}
      style={transform ? { transform: `translate(${transform.x}px, ${transform.y}px)` } : undefined}
      onKeyDown={(e) => {
        if (e.key !== 'ArrowLeft' && e.key !== 'ArrowRight') return;
        e.preventDefault();
        onStep(e.key === 'ArrowLeft' ? -1 : 1);
      }}
    >
      <GripVertical size={14} className="mt-0.5 shrink-0" aria-hidden />
      <span>
        {stage.name}
        <span className="quiet block">{stage.minutes} min</span>
        <span className="sr-only">, left and right arrow move it to another meeting</span>
      </span>
    </button>
  );
}

function MeetingColumn({ meeting, children }: { meeting: Meeting; children: React.ReactNode }) {
  const { setNodeRef, isOver } = useDroppable({ id: meeting.day });
  return (
    <div ref={setNodeRef} className={`min-h-28 w-24 min-w-22 flex-1 rounded-sm p-1.5 ${isOver ? 'bg-l80' : 'bg-l88'}`}>
      <p className="mb-1 text-13 font-semibold">{sayIsoDay(meeting.day)}</p>
      <div className="grid gap-1">{children}</div>
    </div>
  );
}

/** What a meeting finds still wet, goes on with, or finds dry. */
function states(meeting: Meeting, placed: readonly PlacedStage[]): string[] {
  return placed.flatMap(({ stage, meetings, dryAt }) => {
    const [first, last] = [meetings[0], meetings.at(-1)];
    if (!first || !last || !dryAt || meeting.day <= first.day) return [];
    if (meeting.day <= last.day) return [`${stage.name} goes on`];
    return meeting.startsAt < dryAt ? [`${stage.name} dries`] : [];
  });
}

export function TimetableStrip({
  rule,
  stages,
  due,
  placing: kept,
  placed,
  lookMinutes,
  students,
  icsHref,
  save,
}: Props) {
  const [placing, setPlacing] = useState(kept);
  const [trouble, setTrouble] = useState('');
  const [busy, start] = useTransition();
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 4 } }));
  const meetings = useMemo(() => meetingsOf(rule), [rule]);
  const timetable = useMemo(
    () => checkTimetable(stages, meetings, placing, rule.timeZone),
    [stages, meetings, placing, rule.timeZone],
  );
  const mended = useMemo(
    () => (timetable.conflicts.length > 0 ? mend(stages, meetings, placing) : null),
    [timetable, stages, meetings, placing],
  );

  const put = (next: Placing) => {
    setPlacing(next);
    start(async () => {
      const answer = await save(next);
      setTrouble(answer.ok ? '' : (answer.say ?? ''));
    });
  };
  const step = (stage: Stage, by: number) => {
    const at = meetings.findIndex((m) => m.day === placing[stage.id]);
    const to = meetings[Math.min(meetings.length - 1, Math.max(0, at + by))];
    if (to) put({ ...placing, [stage.id]: to.day });
  };
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    if (over) put({ ...placing, [String(active.id)]: String(over.id) });
  };
  const days = Object.values(placing).sort();
  const from = Math.max(
    0,
    meetings.findIndex((m) => m.day >= (days[0] ?? '')),
  );
  const shown = meetings.slice(Math.min(from, Math.max(0, meetings.length - SHOWN)), from + SHOWN);
  const homeless = stages.filter((s) => !meetings.some((m) => m.day === placing[s.id]));

  // The day it is due and the day photographs can be taken are one fact: what does not fit is told with what would.
  const ready = timetable.dueAt;
  const tooLate = ready !== null && due !== null && ready > due;
  const agreed = due ?? ready;
  const dueWords = agreed ? `Photographs are due ${sayMoment(agreed, rule.timeZone)}.` : '';

  return (
    <section className="panel" aria-labelledby="timetable">
      <div className="mb-3 flex items-baseline gap-4">
        <h2 id="timetable" className="text-18 font-semibold">
          Timetable
        </h2>
        <p className="quiet">
          {dueWords} Looking at {students} hand-ins takes you about {lookMinutes} minutes.
        </p>
        <a className="ml-auto underline" href={icsHref}>
          Calendar file
        </a>
      </div>
      <DndContext
        sensors={sensors}
        onDragEnd={onDragEnd}
        accessibility={{
          screenReaderInstructions: { draggable: 'Left and right arrow move the stage to another meeting.' },
        }}
      >
        <div className="flex gap-1 overflow-x-auto">
          {shown.map((m) => (
            <MeetingColumn key={m.day} meeting={m}>
              {stages
                .filter((s) => placing[s.id] === m.day)
                .map((s) => (
                  <StageChip
                    key={s.id}
                    stage={s}
                    troubled={timetable.conflicts.some((c) => c.stage === s.id)}
                    onStep={(by) => step(s, by)}
                  />
                ))}
              {states(m, timetable.placed).map((words) => (
                <p key={words} className="border-t-2 border-dotted border-l37 pt-0.5 text-13">
                  {words}
                </p>
              ))}
            </MeetingColumn>
          ))}
        </div>
        {homeless.length > 0 && (
          <div className="mt-2 flex gap-2">
            {homeless.map((s) => (
              <div key={s.id} className="w-40">
                <StageChip stage={s} troubled onStep={() => step(s, 1)} />
              </div>
            ))}
          </div>
        )}
      </DndContext>
      {tooLate && (
        <div className="trouble mt-3 flex flex-wrap items-center gap-3" role="alert">
          <p>
            As it stands here it is painted and dry by {sayDay(ready, rule.timeZone)}, and it is due{' '}
            {sayDay(due, rule.timeZone)}. The smallest change: make it due {sayDay(ready, rule.timeZone)}.
          </p>
          <button type="button" className="calm" disabled={busy} onClick={() => put(placing)}>
            Make it due {sayDay(ready, rule.timeZone)}
          </button>
        </div>
      )}
      {timetable.conflicts.length > 0 && (
        <div className="trouble mt-3" role="alert">
          <ul className="list-disc pl-5">
            {timetable.conflicts.map((c) => (
              <li key={c.code + c.stage}>{c.say}</li>
            ))}
          </ul>
          {mended ? (
            <p className="mt-2 flex flex-wrap items-center gap-3">
              <span>
                The smallest change: {mended.moves.map((m) => `“${m.name}” to ${sayIsoDay(m.to)}`).join(', ')}.
              </span>
              <button type="button" className="calm" disabled={busy} onClick={() => put(mended.placing)}>
                Mend it
              </button>
            </p>
          ) : (
            <p className="mt-2">
              No move of stages solves this: give the class more or longer meetings, or choose a paint that dries
              faster.
            </p>
          )}
        </div>
      )}
      {!placed && timetable.conflicts.length === 0 && (
        <button type="button" className="calm mt-3" disabled={busy} onClick={() => put(placing)}>
          Keep this timetable
        </button>
      )}
      {trouble && (
        <p role="alert" className="trouble mt-3">
          {trouble}
        </p>
      )}
    </section>
  );
}
