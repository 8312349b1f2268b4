/**
 * What happens in which meeting. A timetable places each stage in a meeting; conflicts come with the smallest
 * change that solves them: stages are only ever pushed to later meetings, and no further than they must.
 */
import { z } from 'zod';
import { eveningBefore, type Meeting } from './meetings';
import type { Stage } from './stage';

/** The day of the meeting in which each stage begins, by stage id. */
export const placingSchema = z.record(z.string().max(40), z.iso.date());
export type Placing = Readonly<z.infer<typeof placingSchema>>;

export interface Conflict {
  readonly code: 'not-dry' | 'too-long' | 'out-of-order' | 'no-meeting' | 'lean-over-fat';
  readonly stage: string;
  readonly say: string;
}

export interface PlacedStage {
  readonly stage: Stage;
  /** Meetings it takes, from its own on; empty where there is none. */
  readonly meetings: readonly Meeting[];
  readonly dryAt: Date | null;
}

export interface Timetable {
  readonly placed: readonly PlacedStage[];
  readonly conflicts: readonly Conflict[];
  /** When the last stage is dry and photographs are due: the evening before the next meeting. Null while there are conflicts or no meeting follows. */
  readonly dueAt: Date | null;
}

const HOUR = 3_600_000;
const dayWords = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', timeZone: 'UTC' });
const say = (day: string) => dayWords.format(new Date(`${day}T00:00:00Z`));

function howLong(hours: number): string {
  if (hours >= 36) return `${Math.round(hours / 24)} days`;
  return hours >= 2 ? `${Math.round(hours)} hours` : `${Math.round(hours * 60)} minutes`;
}

/** Meetings that a stage takes when it begins in a given one; null where it can't be done. */
function taken(stage: Stage, meetings: readonly Meeting[], from: number): readonly Meeting[] | null {
  let left = stage.minutes;
  const used: Meeting[] = [];
  for (let k = from; k < meetings.length; k++) {
    const meeting = meetings[k] as Meeting;
    used.push(meeting);
    left -= meeting.minutes;
    if (left <= 0) return used;
    if (!stage.divisible) return null;
  }
  return null;
}

/** The earliest timetable in which nothing happens before `least` says. A stage that fits nowhere is left out, and all after it. */
function earliest(stages: readonly Stage[], meetings: readonly Meeting[], least: Placing = {}): Placing {
  const placing: Record<string, string> = {};
  let ready = -Infinity;
  for (const stage of stages) {
    const at = meetings.findIndex(
      (m, k) => m.startsAt.getTime() >= ready && m.day >= (least[stage.id] ?? '') && taken(stage, meetings, k) !== null,
    );
    const used = at < 0 ? null : taken(stage, meetings, at);
    const first = used?.[0];
    const last = used?.at(-1);
    if (!first || !last) return placing;
    placing[stage.id] = first.day;
    // Without drying time between, two short stages may share a meeting; they are not planned so.
    ready = Math.max(last.endsAt.getTime() + stage.dryHours * HOUR, last.endsAt.getTime());
  }
  return placing;
}

export const firstTimetable = (stages: readonly Stage[], meetings: readonly Meeting[]): Placing =>
  earliest(stages, meetings);

/** Looks at a timetable as it is placed. */
export function checkTimetable(
  stages: readonly Stage[],
  meetings: readonly Meeting[],
  placing: Placing,
  timeZone: string,
): Timetable {
  const conflicts: Conflict[] = [];
  let before: PlacedStage | null = null;
  const placed = stages.map((stage): PlacedStage => {
    const day = placing[stage.id];
    const at = meetings.findIndex((m) => m.day === day);
    const meeting = meetings[at];
    const tell = (code: Conflict['code'], words: string) => conflicts.push({ code, stage: stage.id, say: words });
    if (!meeting) {
      tell(
        'no-meeting',
        `There is no meeting left for “${stage.name}”: the class needs more meetings, or a paint that dries faster.`,
      );
      return { stage, meetings: [], dryAt: null };
    }
    const used = taken(stage, meetings, at);
    if (!used)
      tell(
        'too-long',
        stage.divisible
          ? `“${stage.name}” takes ${stage.minutes} minutes, more than the meetings from ${say(meeting.day)} on can give.`
          : `“${stage.name}” takes ${stage.minutes} minutes without a break, and the meeting on ${say(meeting.day)} lasts ${meeting.minutes}.`,
      );
    const last = (used ?? [meeting]).at(-1) as Meeting;
    const here: PlacedStage = {
      stage,
      meetings: used ?? [meeting],
      dryAt: new Date(last.endsAt.getTime() + stage.dryHours * HOUR),
    };
    const previous = before?.meetings.at(-1);
    if (before && previous) {
      if (meeting.startsAt <= previous.startsAt)
        tell(
          'out-of-order',
          `“${stage.name}” stands on ${say(meeting.day)}, before “${before.stage.name}” is done on ${say(previous.day)}.`,
        );
      else if (before.dryAt && meeting.startsAt < before.dryAt)
        tell(
          'not-dry',
          `On ${say(meeting.day)} “${before.stage.name}” of ${say(previous.day)} is still wet: it dries for ${howLong(before.stage.dryHours)}.`,
        );
      if (before.stage.fat > stage.fat)
        tell(
          'lean-over-fat',
          `“${stage.name}” is leaner than “${before.stage.name}” below it and would crack: paint it first, or with more oil.`,
        );
    }
    before = here;
    return here;
  });
  const last = placed.at(-1);
  const dry = conflicts.length === 0 ? (last?.dryAt ?? null) : null;
  const next = dry && meetings.find((m) => eveningBefore(m, timeZone) >= dry);
  return { placed, conflicts, dueAt: next ? eveningBefore(next, timeZone) : null };
}

export interface Move {
  readonly stage: string;
  readonly name: string;
  readonly from: string | null;
  readonly to: string;
}

/** The smallest change that solves the conflicts: which stages to move to which later meeting; null where no move helps. */
export function mend(
  stages: readonly Stage[],
  meetings: readonly Meeting[],
  placing: Placing,
): { readonly placing: Placing; readonly moves: readonly Move[] } | null {
  const better = earliest(stages, meetings, placing);
  const whole = stages.every((s) => better[s.id] !== undefined) ? better : earliest(stages, meetings);
  if (!stages.every((s) => whole[s.id] !== undefined)) return null;
  const moves = stages.flatMap((s): Move[] => {
    const [from, to] = [placing[s.id] ?? null, whole[s.id] as string];
    return from === to ? [] : [{ stage: s.id, name: s.name, from, to }];
  });
  return { placing: whole, moves };
}
