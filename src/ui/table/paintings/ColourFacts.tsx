/** What was measured of a painting's colours, in figures. */
import type { PaintingResult } from '@/core/painting/result';
import { Fragment } from 'react';
import { signed } from './signed';

interface Props {
  readonly colour: NonNullable<PaintingResult['colour']>;
  readonly basis: PaintingResult['capture']['colour'];
}

const one = (v: number) => v.toFixed(1);

export function ColourFacts({ colour, basis }: Props) {
  const { strength, cast, parts, warmths } = colour;
  return (
    <>
      <table className="mt-2 w-full text-right">
        <caption className="text-left">
          Colours: a* is red against green, b* yellow against blue
          {basis !== 'measured' &&
            '. Taken as the camera shows them: no coloured patches were read beside the painting'}
        </caption>
        <thead>
          <tr>
            <th className="text-left">Shape</th>
            <th>a*, b*</th>
            <th>wanted</th>
            <th>beside the rest</th>
          </tr>
        </thead>
        <tbody>
          {parts.map((p) => (
            <tr key={p.id}>
              <td className="text-left">{p.shape ?? 'Without a name'}</td>
              <td>
                {one(p.a)}, {one(p.b)}
              </td>
              <td>
                {one(p.wantedA)}, {one(p.wantedB)}
              </td>
              <td>
                {signed(p.residualA)}, {signed(p.residualB)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <dl className="mt-2 grid grid-cols-[9rem_1fr]">
        <dt>All of it</dt>
        <dd>
          {signed(cast.a)} a*, {signed(cast.b)} b*
          {strength !== null && `; ${strength.toFixed(2)} of the reference’s differences in colour`}
        </dd>
        {warmths.map(({ object, wanted, painted }) => (
          <Fragment key={object}>
            <dt>Shadow of {object}</dt>
            <dd>
              {signed(painted)} warmer than its light; {signed(wanted)} wanted
            </dd>
          </Fragment>
        ))}
      </dl>
    </>
  );
}
