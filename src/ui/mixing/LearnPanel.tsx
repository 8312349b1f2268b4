'use client';
/** Logged mixes: what to mix next to learn most, what was read, and how far the foretold lightness was off, before and after. */
import { type PaintId, PAINTS } from '@/core/exercise/paints';
import { asParts, type LoggedMix, sayParts } from '@/core/mixing/logged-mix';
import { type Figures, figuresOf, type Parts } from '@/core/mixing/paint-model';
import type { StoredFit } from '@/core/mixing/stored-fit';
import { useState, useTransition } from 'react';
import { cssGrey } from '../parts/grey';
import { MixForm } from './MixForm';

export interface LoggedMixRow {
  readonly id: string;
  readonly mix: LoggedMix;
  readonly source: 'hand' | 'photograph';
}

interface Props {
  readonly paints: readonly PaintId[];
  readonly mixes: readonly LoggedMixRow[];
  readonly fit: StoredFit | null;
  readonly figures: Figures;
  readonly sureness: number | null;
  readonly ask: Parts | null;
  /** The puddle of the trough that it is, by its name; null where it is none. */
  readonly askName: string | null;
  readonly log: (mix: LoggedMix) => Promise<{ ok: boolean; say?: string }>;
  readonly takeOut: (id: string) => Promise<{ ok: boolean; say?: string }>;
  readonly setFigures: (figures: Figures) => void;
}

const signed = (n: number): string => `${n < 0 ? '−' : '+'}${Math.abs(n).toFixed(1)}`;
const MOST_L = 20;
/** An error bar from the middle: to the left too dark, to the right too light. */
function Off({ by }: { by: number }) {
  const half = Math.min(50, (50 * Math.abs(by)) / MOST_L);
  return (
    <span className="flex items-center gap-2">
      <span className="relative inline-block h-3 w-28 bg-l80" aria-hidden>
        <span
          className="absolute inset-y-0 bg-l20"
          style={{ left: `${by < 0 ? 50 - half : 50}%`, width: `${half}%` }}
        />
        <span className="absolute inset-y-0 left-1/2 w-px bg-l10" />
      </span>
      {signed(by)}
    </span>
  );
}

export function LearnPanel({ paints, mixes, fit, figures, sureness, ask, askName, log, takeOut, setFigures }: Props) {
  const [said, setSaid] = useState('');
  const [busy, start] = useTransition();
  const act = (work: () => Promise<{ ok: boolean; say?: string }>) =>
    start(async () => {
      const answer = await work();
      setSaid(answer.ok ? '' : (answer.say ?? ''));
    });
  const used = mixes.filter(({ mix }) => Object.keys(mix.parts).every((p) => paints.includes(p as PaintId)));
  return (
    <div className="grid gap-6 lg:grid-cols-[22rem_1fr]">
      <div className="grid content-start gap-2">
        <MixForm paints={paints} ask={ask} askName={askName} log={log} />
        {said && (
          <p role="alert" className="trouble">
            {said}
          </p>
        )}
      </div>
      <div>
        <p className="mb-2" aria-live="polite">
          {used.length === 0
            ? 'Nothing is logged yet: all is foretold by the catalogue.'
            : `${used.length} ${used.length === 1 ? 'mix' : 'mixes'} logged. `}
          {sureness !== null && `The nine greys are foretold to about ± ${(2 * sureness).toFixed(1)} L*.`}
          {fit &&
            used.some(({ mix }) => mix.wet) &&
            ` Dry, the darks come out ${signed(fit.shift[0])}, the middle ${signed(fit.shift[1])}, the lights ${signed(fit.shift[2])} L*.`}
        </p>
        {used.length > 0 && (
          <table className="mb-3 w-full text-13">
            <thead>
              <tr className="text-left">
                <th scope="col">mix</th>
                <th scope="col">read</th>
                <th scope="col">off before</th>
                <th scope="col">off after</th>
                <th scope="col">
                  <span className="sr-only">take out</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {used.map(({ id, mix, source }, i) => (
                <tr key={id} className="border-t border-l80">
                  <th scope="row" className="text-left font-normal">
                    {sayParts(asParts(mix.parts))}
                    {fit?.odd.includes(i) && <strong> · doesn’t agree with the others</strong>}
                  </th>
                  <td>
                    <span
                      className="mr-1 inline-block h-4 w-6 align-middle"
                      style={{ background: cssGrey(mix.lightness) }}
                      aria-hidden
                    />
                    {mix.lightness.toFixed(1)}
                    {mix.wet ? ', wet' : ''}
                    {source === 'photograph' ? ', photograph' : ''}
                  </td>
                  <td>{fit && <Off by={fit.before[i] ?? 0} />}</td>
                  <td>{fit && <Off by={fit.after[i] ?? 0} />}</td>
                  <td>
                    <button
                      type="button"
                      className="cursor-pointer underline"
                      disabled={busy}
                      onClick={() => act(() => takeOut(id))}
                    >
                      Take out
                    </button>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
        <table className="w-full text-13">
          <thead>
            <tr className="text-left">
              <th scope="col">paint</th>
              <th scope="col">L* from the tube</th>
              <th scope="col">tinting strength</th>
              <th scope="col">learnt</th>
            </tr>
          </thead>
          <tbody>
            {paints.map((p) => (
              <FigureRow
                key={p}
                paint={p}
                figures={figures}
                learnt={used.some(({ mix }) => (mix.parts[p] ?? 0) > 0) ? (fit?.figures ?? null) : null}
                save={setFigures}
              />
            ))}
          </tbody>
        </table>
      </div>
    </div>
  );
}

function FigureRow({
  paint,
  figures,
  learnt,
  save,
}: {
  paint: PaintId;
  figures: Figures;
  learnt: Figures | null;
  save: (figures: Figures) => void;
}) {
  const own = figuresOf(paint, figures);
  const [lightness, setLightness] = useState(String(own.massTone[0]));
  const [tinting, setTinting] = useState(String(own.tinting));
  const keep = () => {
    const next = { massTone: [Number(lightness), own.massTone[1], own.massTone[2]] as const, tinting: Number(tinting) };
    if (next.massTone[0] !== own.massTone[0] || next.tinting !== own.tinting) save({ ...figures, [paint]: next });
  };
  const known = learnt?.[paint];
  return (
    <tr className="border-t border-l80">
      <th scope="row" className="text-left font-normal">
        {PAINTS[paint].name}
      </th>
      <td>
        <input
          className="w-20 rounded-sm border border-l63 bg-l97 px-1.5 py-1"
          type="number"
          step="any"
          aria-label={`${PAINTS[paint].name}: lightness from the tube`}
          value={lightness}
          onChange={(e) => setLightness(e.target.value)}
          onBlur={keep}
        />
      </td>
      <td>
        <input
          className="w-20 rounded-sm border border-l63 bg-l97 px-1.5 py-1"
          type="number"
          step="any"
          aria-label={`${PAINTS[paint].name}: tinting strength`}
          value={tinting}
          onChange={(e) => setTinting(e.target.value)}
          onBlur={keep}
        />
      </td>
      <td>{known ? `L* ${known.massTone[0].toFixed(1)}, tinting ${known.tinting.toFixed(1)}` : ''}</td>
    </tr>
  );
}
