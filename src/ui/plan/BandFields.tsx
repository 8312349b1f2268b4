'use client';
import type { TermsOf } from '@/core/exercise/terms';
import { Amount, Choice } from '../parts/fields';
import { BandDial } from './BandDial';

export function BandFields({
  terms,
  set,
}: {
  terms: TermsOf<'bands'>;
  set: (change: Partial<TermsOf<'bands'>>) => void;
}) {
  return (
    <div className="sm:col-span-3 grid gap-4 sm:grid-cols-[1fr_13rem]">
      <BandDial terms={terms} onLamp={(lamp) => set({ lamp })} />
      <div className="grid auto-rows-min gap-2.5">
        <Choice
          label="Picture"
          value={terms.motif}
          options={
            [
              ['glow', 'glow round a lamp'],
              ['ranges', 'ranges of hills'],
              ['stairwell', 'stairwell'],
            ] as const
          }
          onChange={(motif) => set({ motif })}
        />
        <Choice
          label="Outlines of the bands"
          value={terms.outlines}
          options={
            [
              ['printed', 'printed on the sheet'],
              ['own', 'drawn by hand'],
            ] as const
          }
          onChange={(outlines) => set({ outlines })}
        />
        <Choice
          label="Silhouettes"
          value={terms.silhouettes}
          options={
            [
              ['drawn', 'drawn for them'],
              ['own', 'their own'],
            ] as const
          }
          onChange={(silhouettes) => set({ silhouettes })}
        />
        <Choice
          label="Silhouettes are painted"
          value={terms.nearest}
          options={
            [
              ['last', 'last'],
              ['first', 'first'],
            ] as const
          }
          onChange={(nearest) => set({ nearest })}
        />
        <Amount
          label="Smallest brush, mm"
          value={terms.brushMm}
          min={2}
          max={20}
          onChange={(brushMm) => set({ brushMm })}
        />
      </div>
    </div>
  );
}
