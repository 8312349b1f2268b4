/** What was measured of a scale, in figures. */
import type { ScaleResult } from '@/core/scale/result';
import { ReadingsFold } from '../ReadingsFold';

interface Props {
  readonly result: ScaleResult;
  readonly labels: readonly string[];
  readonly numberUp: string;
}

export function ScaleFacts({ result, labels, numberUp }: Props) {
  return (
    <ReadingsFold capture={result.capture} numberUp={numberUp}>
      <table className="mt-1 w-full text-right">
        <thead>
          <tr>
            <th className="text-left">Step</th>
            <th>L*</th>
            <th>wanted</th>
            <th>± L*</th>
          </tr>
        </thead>
        <tbody>
          {result.steps.map((s, i) => (
            <tr key={s.index}>
              <td className="text-left">{labels[i]}</td>
              <td>{s.lightness.toFixed(1)}</td>
              <td>{s.target.toFixed(1)}</td>
              <td>{s.uncertainty.toFixed(1)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </ReadingsFold>
  );
}
