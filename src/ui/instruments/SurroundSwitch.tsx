'use client';
/** Sets the grey around the pictures; it stays as set. */
import { useState } from 'react';

const TONES = [
  ['dark', 'Dark surround', '#303030'],
  ['middle', 'Middle surround', '#777777'],
  ['light', 'Light surround', '#c6c6c6'],
] as const;

export function SurroundSwitch({ start, save }: { start: string; save: (value: string) => Promise<void> }) {
  const [now, setNow] = useState(start);
  return (
    <div role="radiogroup" aria-label="Surround" className="flex gap-1">
      {TONES.map(([value, label, colour]) => (
        <button
          key={value}
          role="radio"
          aria-checked={now === value}
          aria-label={label}
          title={label}
          className={`h-6 w-6 cursor-pointer rounded-sm border-2 ${now === value ? 'border-l10' : 'border-l80'}`}
          style={{ background: colour }}
          onClick={() => {
            setNow(value);
            document.documentElement.dataset['surround'] = value;
            void save(value);
          }}
        />
      ))}
    </div>
  );
}
