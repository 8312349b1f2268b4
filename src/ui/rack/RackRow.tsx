'use client';
/** One student on the rack: the strip or picture of the exercise that is open, and a mark for every other. */
import { sayLate } from '@/core/planning/deadline';
import { CalendarClock } from 'lucide-react';
import Link from 'next/link';
import { HandInMark } from '../instruments/HandInMark';
import { StateMark } from '../parts/StateMark';
import { RackPlace } from './RackPlace';
import type { RackRowData } from './rack-rows';

interface Props {
  readonly row: RackRowData;
  readonly exercise: { readonly id: string; readonly title: string };
  readonly titles: ReadonlyMap<string, string>;
  readonly picked: boolean;
  readonly onPick: (picked: boolean) => void;
  readonly onDate: () => void;
}

/** What there is to say of a date; nothing of what came in time. */
function dateWords({ kind, lateMs, until }: RackRowData['date'], isAllowed: boolean): string {
  if (kind === 'excused') return 'excused';
  if (kind === 'missing') return `missing, ${sayLate(lateMs)}`;
  if (kind === 'late') return `${sayLate(lateMs)} late`;
  return isAllowed && kind === 'to-come' ? `until ${until}` : '';
}

function DateOf({ row, onDate }: Pick<Props, 'row' | 'onDate'>) {
  const words = dateWords(row.date, row.allowance !== null);
  return (
    <button
      type="button"
      className="min-h-6 cursor-pointer text-left text-13 hover:underline"
      title={row.allowance?.word ?? undefined}
      onClick={onDate}
    >
      {words === '' ? <CalendarClock size={16} aria-hidden className="text-l37" /> : words}
      <span className="sr-only">Date for {row.name}: more time, or excused</span>
    </button>
  );
}

const CELL = 'grid grid-cols-[minmax(0,1fr)_7rem] items-center gap-2 px-2 py-1';

function Open({ row, exercise }: Pick<Props, 'row' | 'exercise'>) {
  const { open, name, state } = row;
  const mark = (
    <span>
      <StateMark state={state} />
      {open?.attempt != null && open.attempt > 1 && <span className="quiet block">try {open.attempt}</span>}
    </span>
  );
  if (!open)
    return (
      <span className={`${CELL} min-h-12`}>
        <span />
        {mark}
      </span>
    );
  return (
    <Link href={`/table/${open.handInId}`} className={`${CELL} min-h-12 rounded-sm bg-l97 hover:bg-l88`}>
      <span className="sr-only">
        {name}: {exercise.title}
      </span>
      <span className="block max-w-96">
        {open.attemptId && open.seen && (
          <HandInMark attemptId={open.attemptId} seen={open.seen} width={300} height={28} tall="h-10" />
        )}
      </span>
      {mark}
    </Link>
  );
}

export function RackRow({ row, exercise, titles, picked, onPick, onDate }: Props) {
  const { studentId, name } = row;
  return (
    <>
      <th scope="row" className="max-w-32 text-left font-normal sm:max-w-44">
        <label className="flex min-h-8 items-center gap-2">
          <input
            type="checkbox"
            className="h-4 w-4 shrink-0 accent-ink"
            aria-label={`Lay ${name} beside others`}
            disabled={!row.open?.attemptId}
            checked={picked}
            onChange={(e) => onPick(e.target.checked)}
          />
          <span className="truncate">{name}</span>
        </label>
      </th>
      <RackPlace studentId={studentId} exerciseId={exercise.id}>
        <Open row={row} exercise={exercise} />
      </RackPlace>
      <td className="max-w-20">
        <DateOf row={row} onDate={onDate} />
      </td>
      {row.others.map(({ exerciseId, handInId, state }) => (
        <RackPlace key={exerciseId} studentId={studentId} exerciseId={exerciseId}>
          {handInId ? (
            <Link
              href={`/table/${handInId}`}
              title={`${name}: ${titles.get(exerciseId)}`}
              className="grid min-h-8 place-items-center rounded-sm bg-l97 hover:bg-l88"
            >
              <span className="sr-only">
                {name}: {titles.get(exerciseId)}
              </span>
              <StateMark state={state} small />
            </Link>
          ) : (
            <span className="grid min-h-8 place-items-center">
              <StateMark state={state} small />
            </span>
          )}
        </RackPlace>
      ))}
    </>
  );
}
