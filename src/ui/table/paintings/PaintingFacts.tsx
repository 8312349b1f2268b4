/** What was measured of a painting, in figures. */
import type { PaintingResult } from '@/core/painting/result';
import { ReadingsFold } from '../ReadingsFold';
import { ColourFacts } from './ColourFacts';
import { ContrastFacts } from './ContrastFacts';
import { signed } from './signed';
import { ValueCurve } from './ValueCurve';
import { WholeFacts } from './WholeFacts';

interface Props {
  readonly result: PaintingResult;
  readonly numberUp: string;
  /** Whether the exercise asks for its colours. */
  readonly coloursAsked: boolean;
}

const REACHES: Record<PaintingResult['extents'][number]['kind'], (by: number) => string> = {
  wide: (by) => `too wide by ${Math.abs(by).toFixed(2)} of its width`,
  narrow: (by) => `too narrow by ${Math.abs(by).toFixed(2)} of its width`,
  detail: (by) => `livelier than it should be by ${one(by)} L*`,
};
const one = (v: number | null) => (v === null ? '–' : v.toFixed(1));

/** What each rule of form measures. */
const RULES: Record<PaintingResult['rules'][number]['code'], string> = {
  separation: 'Light above shadow, L*',
  reflected_light: 'Reflected light above halftone, L*',
  not_joined: 'Shadow from cast shadow, L*',
  cast_not_lightening: 'Cast shadow lightens by, L*',
  cast_edge_hard: 'Far edge softer, times',
  black_hole: 'Spread in the cast shadow, L*',
  counterchange: 'Stands out by, L*',
  highlight_order: 'Highlights apart, L*',
  overlap_not_darker: 'Overlap darker by, L*',
  outside_steps: 'Steps off',
  step_unused: 'Share in the step',
  edges_alike: 'Softest edge, times the sharpest',
};

export function PaintingFacts({ result, numberUp, coloursAsked }: Props) {
  const { registration, overall, shapes, displacements, extents, accents, rules, range, rescue } = result;
  return (
    <ReadingsFold capture={result.capture} numberUp={numberUp}>
      {shapes.length > 0 && (
        <table className="mt-1 w-full text-right [&_td]:pl-2 [&_th]:pl-2 [&_th]:align-bottom">
          <thead>
            <tr>
              <th className="text-left">Shape</th>
              <th>L*</th>
              <th>wanted</th>
              <th>beside the rest</th>
              <th>side to side</th>
              <th>wanted</th>
              <th>edges, mm</th>
            </tr>
          </thead>
          <tbody>
            {shapes.map((s) => (
              <tr key={s.name}>
                <td className="text-left">{s.name}</td>
                <td>{one(s.lightness)}</td>
                <td>{one(s.target)}</td>
                <td>{s.residual === null ? '–' : signed(s.residual)}</td>
                <td>{one(s.gradient?.across.painted ?? null)}</td>
                <td>{one(s.gradient?.across.wanted ?? null)}</td>
                <td>{one(s.edgeMm)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {result.contrasts.length > 0 && <ContrastFacts contrasts={result.contrasts} />}
      {overall && <ValueCurve curve={overall.curve} />}
      {overall && (
        <table className="mt-2 w-full text-right">
          <caption className="text-left">The whole: painted against wanted, L*</caption>
          <thead>
            <tr>
              <th>wanted</th>
              <th>painted</th>
              <th>off</th>
            </tr>
          </thead>
          <tbody>
            {overall.curve.map((p) => (
              <tr key={p.target}>
                <td>{one(p.target)}</td>
                <td>{one(p.painted)}</td>
                <td>{signed(p.painted - p.target)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {result.whole && <WholeFacts whole={result.whole} />}
      {coloursAsked && !result.colour && (
        <p className="mt-2">
          Colours were asked for, and nothing is known of them here: they are read on its own sheet, or between corner
          pieces, beside a picture to paint from.
        </p>
      )}
      {result.colour && <ColourFacts colour={result.colour} basis={result.capture.colour} />}
      <dl className="mt-2 grid grid-cols-[9rem_1fr]">
        {registration && (
          <>
            <dt>Sits</dt>
            <dd>
              {signed(100 * registration.shift.x)} % across, {signed(100 * registration.shift.y)} % down
            </dd>
            <dt>Turned</dt>
            <dd>{signed(registration.rotation, 2)}°</dd>
            <dt>Size</dt>
            <dd>
              {registration.scale.x.toFixed(3)} across, {registration.scale.y.toFixed(3)} down
            </dd>
          </>
        )}
        {displacements.map((d) => (
          <div key={d.id} className="contents">
            <dt>{d.name ?? 'Without a name'}</dt>
            <dd>
              {signed(100 * d.dx)} % across, {signed(100 * d.dy)} % down, width {d.width.toFixed(2)}, height{' '}
              {d.height.toFixed(2)}
            </dd>
          </div>
        ))}
        {extents.map((e) => (
          <div key={e.id} className="contents">
            <dt>{e.name ?? 'Without a name'}</dt>
            <dd>{REACHES[e.kind](e.by)}</dd>
          </div>
        ))}
        {accents.map((a) => (
          <div key={`${a.kind} ${a.id}`} className="contents">
            <dt>A {a.light ? 'light' : 'dark'} line</dt>
            <dd>
              {a.kind}; {a.amount.toFixed(2)} of it in {a.kind === 'extra' ? 'the reference' : 'the painting'}
            </dd>
          </div>
        ))}
        {rules.map((r) => (
          <div key={`${r.code} ${r.id}`} className="contents">
            <dt>{RULES[r.code]}</dt>
            <dd>
              {r.value.toFixed(2)}, where {r.limit.toFixed(2)} is the limit; {r.names.join(', ')}
            </dd>
          </div>
        ))}
        {rescue && (
          <>
            <dt>Since before</dt>
            <dd>
              {Math.round(100 * rescue.repainted)} of 100 painted over; range {signed(rescue.range)} L*, middle third{' '}
              {signed(100 * rescue.crowding, 0)} of 100, neighbours apart {signed(rescue.contrast)} L*
            </dd>
          </>
        )}
        {range && (
          <>
            <dt>Darkest, middle, lightest</dt>
            <dd>
              L* {one(range.student.p5)}, {one(range.student.p50)}, {one(range.student.p95)}
            </dd>
          </>
        )}
      </dl>
    </ReadingsFold>
  );
}
