'use client';
/** What a class is: how it counts its values, how young it is, whether it sits in a school. Kept as soon as it is changed. */
import { REGISTERS, type Register } from '@/core/critique/voice';
import { NUMBERING_IDS, NUMBERINGS, type NumberingId } from '@/core/exercise/numbering';
import { useState, useTransition } from 'react';
import { Choice, Tick } from '../parts/fields';
import { REGISTER_NAMES } from '../parts/register-names';

interface Settings {
  readonly numbering: NumberingId;
  readonly register: Register;
  readonly underSixteen: boolean;
  readonly school: boolean;
  readonly currency: string;
  readonly keepDays: KeepDays | null;
  readonly pieceLineMm: number | null;
}

type KeepDays = 90 | 180 | 365 | 730;
const KEPT = [
  ['', 'until somebody deletes them'],
  ['90', 'three months after the last picture'],
  ['180', 'half a year after the last picture'],
  ['365', 'a year after the last picture'],
  ['730', 'two years after the last picture'],
] as const;

export function ClassSettings({
  now,
  save,
}: {
  now: Settings;
  save: (settings: Settings) => Promise<{ ok: boolean; say?: string }>;
}) {
  const [settings, setSettings] = useState(now);
  const [trouble, setTrouble] = useState('');
  const [busy, start] = useTransition();
  const put = (change: Partial<Settings>) => {
    const next = { ...settings, ...change };
    setSettings(next);
    start(async () => {
      const answer = await save(next);
      setTrouble(answer.ok ? '' : (answer.say ?? ''));
    });
  };
  return (
    <fieldset className="grid gap-2" disabled={busy}>
      <Choice
        label="How values are numbered"
        value={settings.numbering}
        options={NUMBERING_IDS.map((n) => [n, NUMBERINGS[n]] as const)}
        onChange={(numbering) => put({ numbering })}
      />
      <Choice
        label="Letters are written for"
        value={settings.register}
        options={REGISTERS.map((r) => [r, REGISTER_NAMES[r]] as const)}
        onChange={(register) => put({ register })}
      />
      <Tick
        label="There are students under 16"
        checked={settings.underSixteen}
        onChange={(underSixteen) => put({ underSixteen })}
      />
      <Tick label="It is part of a school" checked={settings.school} onChange={(school) => put({ school })} />
      <p className="quiet">Toxic pigments and solvents are kept from a class under 16, lead white from a school too.</p>
      <label>
        <span className="label">Currency of estimates</span>
        <input
          className="field"
          maxLength={3}
          defaultValue={settings.currency}
          onBlur={(e) => e.target.value !== settings.currency && put({ currency: e.target.value.toUpperCase() })}
        />
      </label>
      <label>
        <span className="label">The 100 mm line on your corner pieces, in mm</span>
        <input
          className="field"
          type="number"
          min={80}
          max={120}
          step={0.1}
          placeholder="not measured yet"
          defaultValue={settings.pieceLineMm ?? ''}
          onBlur={(e) => {
            const pieceLineMm = e.target.value === '' ? null : Number(e.target.value);
            if (pieceLineMm !== settings.pieceLineMm) put({ pieceLineMm });
          }}
        />
        <span className="quiet">Measure it once with a ruler: sizes of boards hang on it.</span>
      </label>
      <Choice
        label="Hand-ins are kept"
        value={String(settings.keepDays ?? '') as (typeof KEPT)[number][0]}
        options={KEPT}
        onChange={(days) => put({ keepDays: days === '' ? null : (Number(days) as KeepDays) })}
      />
      <p className="quiet">What is over its time is deleted for good, photographs and letters too.</p>
      {trouble && (
        <p role="alert" className="trouble">
          {trouble}
        </p>
      )}
    </fieldset>
  );
}
