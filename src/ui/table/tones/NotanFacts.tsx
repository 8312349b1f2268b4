/** What was measured of a painting in few tones, in figures. */
import type { NotanResult } from '@/core/notan/result';
import { ReadingsFold } from '../ReadingsFold';
import { MassFacts } from './MassFacts';

interface Props {
  readonly result: NotanResult;
  readonly labels: readonly string[];
  readonly numberUp: string;
}

const percent = (v: number | null) => (v === null ? '–' : `${Math.round(100 * v)} %`);

export function NotanFacts({ result, labels, numberUp }: Props) {
  const fromPicture = result.reference === 'picture';
  return (
    <ReadingsFold capture={result.capture} numberUp={numberUp}>
      <table className="mt-1 w-full text-right">
        <thead>
          <tr>
            <th className="text-left">Tone</th>
            <th>L*</th>
            <th>± L*</th>
            <th>share</th>
            {fromPicture && <th>wanted</th>}
          </tr>
        </thead>
        <tbody>
          {result.tones.map((t, k) => (
            <tr key={t.index}>
              <td className="text-left">{labels[k]}</td>
              <td>{t.lightness === null ? 'none' : t.lightness.toFixed(1)}</td>
              <td>{t.spread === null ? '' : t.spread.toFixed(1)}</td>
              <td>{percent(t.share)}</td>
              {fromPicture && <td>{percent(t.referenceShare)}</td>}
            </tr>
          ))}
        </tbody>
      </table>
      <dl className="mt-1 grid grid-cols-[9rem_1fr]">
        {fromPicture && (
          <>
            <dt>Agrees</dt>
            <dd>{percent(result.agreement)}</dd>
            <dt>beside outlines left out</dt>
            <dd>{percent(result.agreementTolerant)}</dd>
            <dt>after the best shift</dt>
            <dd>{percent(result.agreementAligned)}</dd>
            <dt>beyond chance</dt>
            <dd>{result.kappa === null ? '–' : result.kappa.toFixed(2)}</dd>
          </>
        )}
        {result.shapes && (
          <>
            <dt>Shapes</dt>
            <dd>
              {result.shapes.large} large, {result.shapes.middle} middling, {result.shapes.small} small,{' '}
              {result.shapes.slivers} too thin
            </dd>
            <dt>Ragged edges</dt>
            <dd>{percent(result.shapes.ragged)}</dd>
          </>
        )}
        {result.frame && (
          <>
            <dt>Painted frame</dt>
            <dd>
              L* {result.frame.lightness.toFixed(1)}, {result.frame.isDarkEnd ? 'the dark end' : 'left out'}
            </dd>
          </>
        )}
      </dl>
      <MassFacts masses={result.masses} pairs={result.pairs} labels={labels} />
    </ReadingsFold>
  );
}
