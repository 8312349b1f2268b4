'use client';
/** The one colour that steps or bands are mixed of; a paint that Fair Grey knows goes among the materials, so that there is a recipe. */
import type { Materials } from '@/core/exercise/materials';
import { PAINT_IDS, PAINTS } from '@/core/exercise/paints';
import type { PureAt } from '@/core/exercise/targets';
import { Choice } from '../parts/fields';

interface OfOneColour {
  readonly hue: string;
  readonly pureAt: PureAt;
  readonly materials: Materials;
}

interface Props {
  readonly terms: Omit<OfOneColour, 'hue'> & { readonly hue: string | null };
  readonly set: (change: Partial<OfOneColour>) => void;
  /** Whether no colour means greys. */
  readonly orGreys?: boolean;
}

const paintNamed = (name: string) => PAINT_IDS.find((p) => PAINTS[p].name === name.trim().toLowerCase());
const HUES = PAINT_IDS.filter((p) => PAINTS[p].family === 'hue' || PAINTS[p].family === 'earth');

export function HueField({ terms, set, orGreys = false }: Props) {
  const name = (hue: string) => {
    const [before, now] = [paintNamed(terms.hue ?? ''), paintNamed(hue)];
    const kept = terms.materials.paints.filter((p) => p !== before || p === now);
    set({ hue, materials: { ...terms.materials, paints: now && !kept.includes(now) ? [...kept, now] : kept } });
  };
  return (
    <>
      <label>
        <span className="label">{orGreys ? 'Colour (none: greys)' : 'Colour'}</span>
        <input className="field" list="hues" value={terms.hue ?? ''} onChange={(e) => name(e.target.value)} />
        <datalist id="hues">
          {HUES.map((p) => (
            <option key={p} value={PAINTS[p].name} />
          ))}
        </datalist>
      </label>
      {terms.hue !== null && (
        <Choice
          label="Pure colour stands"
          value={terms.pureAt}
          options={
            [
              ['own-value', 'where its value falls'],
              ['middle-step', 'on the middle step'],
            ] as const
          }
          onChange={(pureAt) => set({ pureAt })}
        />
      )}
    </>
  );
}
