'use client';
/** What is told of one mass: its name, how much it weighs, which part of the light it is, what it may be painted in. */
import { type Mass, MATERIALS_SEEN, PARTS_OF_LIGHT } from '@/core/tones/mass';
import { Amount, Choice } from '../parts/fields';

interface Props {
  /** Null where it has no name yet. */
  readonly mass: Mass | null;
  /** How many lights there are, and among how many tones steps are allotted. */
  readonly lights: number;
  readonly tones: number;
  readonly onChange: (change: Partial<Mass>) => void;
  readonly children?: React.ReactNode;
}

const PART_WORDS = { lit: 'its lit side', shadow: 'its shadow side', 'cast-shadow': 'the shadow it casts' } as const;

export const newMass = (name: string): Mass => ({
  name,
  emphasis: 1,
  part: null,
  material: 'matt',
  blocked: 0,
  steps: null,
});

export function MassFields({ mass, lights, tones, onChange, children }: Props) {
  const steps = mass?.steps ?? null;
  const allot = (from: number, to: number) =>
    onChange({ steps: { from, to: Math.min(15, Math.max(from, to)), of: tones } });
  return (
    <>
      <label>
        <span className="label">Name, an object first: can &gt; lit side</span>
        <input
          className="field"
          defaultValue={mass?.name ?? ''}
          maxLength={80}
          onBlur={(e) =>
            e.target.value.trim() !== '' &&
            e.target.value.trim() !== mass?.name &&
            onChange({ name: e.target.value.trim() })
          }
        />
      </label>
      <label>
        <span className="label">What is said of it weighs: {(mass?.emphasis ?? 1).toFixed(1)} times</span>
        <input
          type="range"
          className="w-full accent-ink"
          min={0.5}
          max={3}
          step={0.1}
          value={mass?.emphasis ?? 1}
          onChange={(e) => onChange({ emphasis: Number(e.target.value) })}
        />
      </label>
      <div className="grid grid-cols-2 gap-2">
        <Choice
          label="It is"
          value={(mass?.part ?? '') as string}
          options={[['', 'not told'] as const, ...PARTS_OF_LIGHT.map((p) => [p as string, PART_WORDS[p]] as const)]}
          onChange={(v) => onChange({ part: PARTS_OF_LIGHT.find((p) => p === v) ?? null })}
        />
        <Choice
          label="Material"
          value={mass?.material ?? 'matt'}
          options={MATERIALS_SEEN.map((m) => [m, m] as const)}
          onChange={(material) => onChange({ material })}
        />
        {children}
        {lights > 1 && (
          <Amount
            label="Lights kept off it"
            value={mass?.blocked ?? 0}
            min={0}
            max={lights}
            onChange={(blocked) => onChange({ blocked: Math.min(4, Math.max(0, Math.round(blocked))) })}
          />
        )}
        <Amount
          label={`Steps of ${tones}, from (0: any)`}
          value={steps?.from ?? 0}
          min={0}
          max={tones}
          onChange={(from) => (from < 1 ? onChange({ steps: null }) : allot(from, steps?.to ?? from))}
        />
        {steps && (
          <Amount
            label="to (1 the lightest)"
            value={steps.to}
            min={steps.from}
            max={tones}
            onChange={(to) => allot(steps.from, to)}
          />
        )}
      </div>
      {steps?.of && steps.of !== tones && (
        <p className="quiet">Allotted among {steps.of} tones: they count in exercises of so many.</p>
      )}
    </>
  );
}
