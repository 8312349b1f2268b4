'use client';
/** The colour of a monochrome scale; a paint that Fair Grey knows goes among the materials, so that there is a recipe. */
import { PAINT_IDS, PAINTS } from '@/core/exercise/paints';
import type { TermsOf } from '@/core/exercise/terms';

type Terms = TermsOf<'monochrome-scale'>;
const paintNamed = (name: string) => PAINT_IDS.find((p) => PAINTS[p].name === name.trim().toLowerCase());
const HUES = PAINT_IDS.filter((p) => PAINTS[p].family === 'hue' || PAINTS[p].family === 'earth');

export function HueField({ terms, set }: { terms: Terms; set: (change: Pick<Terms, 'hue' | 'materials'>) => void }) {
  const name = (hue: string) => {
    const [before, now] = [paintNamed(terms.hue), paintNamed(hue)];
    const kept = terms.materials.paints.filter((p) => p !== before || p === now);
    set({ hue, materials: { ...terms.materials, paints: now && !kept.includes(now) ? [...kept, now] : kept } });
  };
  return (
    <label>
      <span className="label">Colour</span>
      <input className="field" list="hues" value={terms.hue} onChange={(e) => name(e.target.value)} />
      <datalist id="hues">
        {HUES.map((p) => (
          <option key={p} value={PAINTS[p].name} />
        ))}
      </datalist>
    </label>
  );
}
