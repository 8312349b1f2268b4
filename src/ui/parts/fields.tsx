'use client';
/** The few kinds of field that forms are made of. */
import { type ReactNode, useId } from 'react';

interface FieldProps {
  readonly label: string;
  /** What is to be put right; nothing while it will do. */
  readonly wrong?: string | undefined;
  readonly className?: string;
  readonly children: ReactNode;
}

/** A labelled field, with what is wrong with it below. */
export function Field({ label, wrong, className, children }: FieldProps) {
  const id = useId();
  return (
    <div className={className}>
      <label aria-describedby={wrong ? id : undefined}>
        <span className="label">{label}</span>
        {children}
      </label>
      {wrong && (
        <p id={id} role="alert" className="trouble mt-1">
          {wrong}
        </p>
      )}
    </div>
  );
}

export function Choice<T extends string>({
  label,
  value,
  options,
  onChange,
}: {
  label: string;
  value: T;
  options: readonly (readonly [T, string])[];
  onChange: (v: T) => void;
}) {
  return (
    <Field label={label}>
      <select className="field" value={value} onChange={(e) => onChange(e.target.value as T)}>
        {options.map(([v, words]) => (
          <option key={v} value={v}>
            {words}
          </option>
        ))}
      </select>
    </Field>
  );
}

export function Amount({
  label,
  value,
  min,
  max,
  step = 1,
  onChange,
}: {
  label: string;
  value: number;
  min: number;
  max: number;
  step?: number;
  onChange: (v: number) => void;
}) {
  return (
    <Field label={label}>
      <input
        className="field"
        type="number"
        min={min}
        max={max}
        step={step}
        value={value}
        onChange={(e) => onChange(Number(e.target.value))}
      />
    </Field>
  );
}

export function Tick({
  label,
  checked,
  onChange,
}: {
  label: string;
  checked: boolean;
  onChange: (v: boolean) => void;
}) {
  return (
    <label className="flex min-h-10 items-center gap-2 self-end">
      <input
        type="checkbox"
        className="h-5 w-5 shrink-0 accent-ink"
        checked={checked}
        onChange={(e) => onChange(e.target.checked)}
      />
      {label}
    </label>
  );
}

export function Lines({
  label,
  hint,
  value,
  onChange,
}: {
  label: string;
  hint: string;
  value: readonly string[];
  onChange: (v: string[]) => void;
}) {
  return (
    <Field label={label} className="sm:col-span-3">
      <textarea
        className="field"
        rows={Math.min(6, Math.max(2, value.length))}
        value={value.join('\n')}
        onChange={(e) => onChange(e.target.value.split('\n'))}
      />
      <span className="quiet">{hint}</span>
    </Field>
  );
}
