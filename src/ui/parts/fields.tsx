'use client';
/** The few kinds of field that forms are made of. */

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
    <label>
      <span className="label">{label}</span>
      <select className="field" value={value} onChange={(e) => onChange(e.target.value as T)}>
        {options.map(([v, words]) => (
          <option key={v} value={v}>
            {words}
          </option>
        ))}
      </select>
    </label>
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
    <label>
      <span className="label">{label}</span>
      <input
        className="field"
        type="number"
        min={min}
        max={max}
        step={step}
        value={value}
        onChange={(e) => onChange(Number(e.target.value))}
      />
    </label>
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
    <label className="sm:col-span-3">
      <span className="label">{label}</span>
      <textarea
        className="field"
        rows={Math.min(6, Math.max(2, value.length))}
        value={value.join('\n')}
        onChange={(e) => onChange(e.target.value.split('\n'))}
      />
      <span className="quiet">{hint}</span>
    </label>
  );
}
