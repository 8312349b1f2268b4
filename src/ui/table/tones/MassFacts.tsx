/** What was measured of named masses, in figures. */
import type { NotanResult } from '@/core/notan/result';

interface Props extends Pick<NotanResult, 'masses' | 'pairs'> {
  readonly labels: readonly string[];
}

const percent = (v: number) => `${Math.round(100 * v)} %`;

const apart = (l: number) =>
  l < 0 ? `some shadow above some light, by L* ${(-l).toFixed(1)}` : `light above shadow by L* ${l.toFixed(1)}`;

export function MassFacts({ masses, pairs, labels }: Props) {
  if (masses.length === 0) return null;
  const label = (step: number) => labels[step - 1] ?? String(step);
  return (
    <>
      <table className="mt-2 w-full text-right [&_td+td]:pl-1.5 [&_th+th]:pl-1.5">
        <thead>
          <tr>
            <th className="text-left">Mass</th>
            <th>share</th>
            <th>L*</th>
            <th>steps</th>
            <th>in them</th>
          </tr>
        </thead>
        <tbody>
          {masses.map((m) => (
            <tr key={`${m.name} ${m.box.x} ${m.box.y}`}>
              <td className="text-left">{m.name}</td>
              <td>{percent(m.share)}</td>
              <td>{m.lightness === null ? '–' : m.lightness.toFixed(1)}</td>
              <td>
                {m.steps
                  ? m.steps.from === m.steps.to
                    ? label(m.steps.from)
                    : `${label(m.steps.from)} to ${label(m.steps.to)}`
                  : 'any'}
              </td>
              <td>
                {m.inside === null
                  ? ''
                  : `${percent(m.inside)}${m.inside > 0 && m.unused.length > 0 ? `, none of ${m.unused.map(label).join(', ')}` : ''}`}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {pairs.length > 0 && (
        <dl className="mt-1 grid grid-cols-[9rem_1fr]">
          {pairs.map((p) => (
            <div key={p.object} className="contents">
              <dt>{p.object}</dt>
              <dd>
                {apart(p.separation)}
                {p.wanted !== null && `; in the reference ${apart(p.wanted)}`}
              </dd>
            </div>
          ))}
        </dl>
      )}
    </>
  );
}
