'use client';
/** When a class meets. */
import { MEETING_MINUTES, type MeetingRule, meetingRuleSchema } from '@/core/planning/meetings';
import { zodResolver } from '@hookform/resolvers/zod';
import { useState } from 'react';
import { Controller, useForm } from 'react-hook-form';
import { Field } from '../parts/fields';

interface Props {
  readonly now: MeetingRule;
  readonly save: (rule: MeetingRule) => Promise<{ ok: boolean; say?: string }>;
}

const WEEKDAYS = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'];

export function MeetingForm({ now, save }: Props) {
  const { register, control, handleSubmit, formState } = useForm({
    resolver: zodResolver(meetingRuleSchema),
    defaultValues: now,
  });
  const { errors, isSubmitting } = formState;
  const [said, setSaid] = useState('');
  const keep = handleSubmit(
    async (rule) => {
      const answer = await save(rule);
      setSaid(answer.ok ? 'Kept.' : (answer.say ?? ''));
    },
    () => setSaid(''),
  );
  return (
    <form className="grid grid-cols-2 gap-3" noValidate onSubmit={(e) => void keep(e)}>
      <Controller
        control={control}
        name="weekdays"
        render={({ field }) => (
          <Weekdays chosen={field.value} choose={field.onChange} wrong={errors.weekdays?.message} />
        )}
      />
      <Field label="Begins" wrong={errors.start?.message}>
        <input className="field" type="time" {...register('start')} />
      </Field>
      <Field label="Minutes" wrong={errors.minutes?.message}>
        <input
          className="field"
          type="number"
          min={MEETING_MINUTES.least}
          max={MEETING_MINUTES.most}
          {...register('minutes', { valueAsNumber: true })}
        />
      </Field>
      <Field label="First day" wrong={errors.from?.message}>
        <input className="field" type="date" {...register('from')} />
      </Field>
      <Field label="Last day" wrong={errors.until?.message}>
        <input className="field" type="date" {...register('until')} />
      </Field>
      <Controller
        control={control}
        name="except"
        render={({ field }) => (
          <Field
            className="col-span-2"
            label="Not on (year-month-day, one a line)"
            wrong={errors.except?.message ?? errors.except?.find?.((e) => e?.message)?.message}
          >
            <textarea
              className="field"
              rows={1}
              defaultValue={field.value.join('\n')}
              onChange={(e) => field.onChange(e.target.value.split('\n').filter((d) => d.trim() !== ''))}
            />
          </Field>
        )}
      />
      <Field className="col-span-2" label="Time zone" wrong={errors.timeZone?.message}>
        <input className="field" {...register('timeZone')} />
      </Field>
      {(errors.root?.message ?? said) && (
        <p role="status" className="trouble col-span-2">
          {errors.root?.message ?? said}
        </p>
      )}
      <button className="calm col-span-2" disabled={isSubmitting}>
        Keep the meetings
      </button>
    </form>
  );
}

interface WeekdaysProps {
  /** 0 is Sunday. */
  readonly chosen: readonly number[];
  readonly choose: (days: number[]) => void;
  readonly wrong: string | undefined;
}

function Weekdays({ chosen, choose, wrong }: WeekdaysProps) {
  return (
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
            checked={chosen.includes(d)}
            onChange={(e) => choose(e.target.checked ? [...chosen, d].sort() : chosen.filter((w) => w !== d))}
          />
          {name}
        </label>
      ))}
      {wrong && (
        <p role="alert" className="trouble mt-1 w-full">
          {wrong}
        </p>
      )}
    </fieldset>
  );
}
