'use client';
/** When a class meets. */
import { MEETING_MINUTES, type MeetingRule } from '@/core/planning/meetings';
import { useState, useTransition } from 'react';
import { Amount, Entry } from '../parts/fields';

const WEEKDAYS = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'];

export function MeetingForm({
  now,
  save,
}: {
  now: MeetingRule;
  save: (rule: MeetingRule) => Promise<{ ok: boolean; say?: string }>;
}) {
  const [rule, setRule] = useState(now);
  const [said, setSaid] = useState('');
  const [busy, start] = useTransition();
  const put = (change: Partial<MeetingRule>) => setRule((r) => ({ ...r, ...change }));
  return (
    <form
      className="grid grid-cols-2 gap-3"
      onSubmit={(e) => {
        e.preventDefault();
        start(async () => {
          const answer = await save({ ...rule, except: rule.except.filter((d) => d.trim() !== '') });
          setSaid(answer.ok ? 'Kept.' : (answer.say ?? ''));
        });
      }}
    >
      <fieldset className="col-span-2 flex flex-wrap gap-1">
        <legend className="label">Days</legend>
        {WEEKDAYS.map((name, d) => (
          <label
            key={name}
            className="has-checked:bg-l20 has-checked:text-l97 cursor-pointer rounded-sm border border-l37 bg-l97 px-2 py-1 text-13 focus-within:outline-2"
          >
            <input
              type="checkbox"
              className="sr-only"
              checked={rule.weekdays.includes(d)}
              onChange={(e) =>
                put({
                  weekdays: e.target.checked ? [...rule.weekdays, d].sort() : rule.weekdays.filter((w) => w !== d),
                })
              }
            />
            {name}
          </label>
        ))}
      </fieldset>
      <Entry label="Begins" type="time" value={rule.start} onChange={(at) => put({ start: at })} />
      <Amount
        label="Minutes"
        value={rule.minutes}
        min={MEETING_MINUTES.least}
        max={MEETING_MINUTES.most}
        onChange={(minutes) => put({ minutes })}
      />
      <Entry label="First day" type="date" value={rule.from} onChange={(from) => put({ from })} />
      <Entry label="Last day" type="date" value={rule.until} onChange={(until) => put({ until })} />
      <label className="col-span-2">
        <span className="label">Not on (year-month-day, one a line)</span>
        <textarea
          className="field"
          rows={1}
          value={rule.except.join('\n')}
          onChange={(e) => put({ except: e.target.value.split('\n') })}
        />
      </label>
      <div className="col-span-2">
        <Entry label="Time zone" value={rule.timeZone} onChange={(timeZone) => put({ timeZone })} />
      </div>
      {said && (
        <p role="status" className="trouble col-span-2">
          {said}
        </p>
      )}
      <button className="calm col-span-2" disabled={busy}>
        Keep the meetings
      </button>
    </form>
  );
}
