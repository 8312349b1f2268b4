'use client';
/** What it is painted with, and the cautions that follow at once. */
import type { Materials } from '@/core/exercise/materials';
import type { MediumId } from '@/core/exercise/media';
import { PAINT_IDS, PAINTS } from '@/core/exercise/paints';
import { CAUTIONS, cautionsFor, DEFERRAL, maySet } from '@/core/planning/cautions';
import { Choice, Tick } from '../parts/fields';

interface Props {
  readonly medium: MediumId;
  readonly materials: Materials;
  readonly group: { readonly underSixteen: boolean; readonly school: boolean };
  readonly set: (materials: Materials) => void;
  readonly reason: string;
  readonly onReason: (reason: string) => void;
}

export function MaterialFields({ medium, materials, group, set, reason, onReason }: Props) {
  const put = (change: Partial<Materials>) => set({ ...materials, ...change });
  const plan = { medium, materials, underSixteen: group.underSixteen };
  const permission = maySet(plan, group.school);
  const cautions = cautionsFor(plan);
  return (
    <details className="sm:col-span-3 rounded-sm bg-l97 p-2" open={permission.kind !== 'allowed' || undefined}>
      <summary className="min-h-8 cursor-pointer">
        Materials and care: {materials.paints.length} paints, {cautions.length} cautions
      </summary>
      <fieldset className="my-2 grid grid-cols-2 gap-x-3 sm:grid-cols-4">
        <legend className="label">Paints</legend>
        {PAINT_IDS.map((id) => (
          <label key={id} className="flex items-center gap-1.5 text-13">
            <input
              type="checkbox"
              className="h-4 w-4 shrink-0 accent-ink"
              checked={materials.paints.includes(id)}
              onChange={(e) =>
                put({ paints: e.target.checked ? [...materials.paints, id] : materials.paints.filter((p) => p !== id) })
              }
            />
            {PAINTS[id].name}
            {PAINTS[id].hazard && <span title="toxic pigment"> ⚠</span>}
          </label>
        ))}
      </fieldset>
      <div className="grid grid-cols-1 items-end gap-3 sm:grid-cols-4">
        <Choice
          label="Thinned with"
          value={materials.thinner}
          options={
            [
              ['none', 'nothing'],
              ['water', 'water'],
              ['oil', 'oil'],
              ['solvent', 'solvent'],
            ] as const
          }
          onChange={(thinner) => put({ thinner })}
        />
        <Tick label="Varnish" checked={materials.varnish} onChange={(varnish) => put({ varnish })} />
        <Tick label="Spray or fixative" checked={materials.sprays} onChange={(sprays) => put({ sprays })} />
        <Tick label="Scrapers, blades" checked={materials.blades} onChange={(blades) => put({ blades })} />
      </div>
      {permission.kind !== 'allowed' && (
        <div className="trouble mt-2" role="alert">
          <p>{permission.say}</p>
          {permission.kind === 'needs-reason' && (
            <label>
              <span className="label">Why it is set all the same</span>
              <input className="field" value={reason} onChange={(e) => onReason(e.target.value)} />
            </label>
          )}
        </div>
      )}
      <ul className="mt-2 list-disc space-y-1 pl-5 text-13">
        {cautions.map((id) => (
          <li key={id}>{CAUTIONS[id]}</li>
        ))}
        <li>{DEFERRAL}</li>
      </ul>
    </details>
  );
}
