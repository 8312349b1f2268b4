/** What a teacher reads of a measurement beside its findings: least work, chips, on what it rests, the strip and its greys. */
import { type MeasuredChip, type ScaleResult } from '@/core/scale/result';
import { sampleScale, sampleSteps } from '@/core/scale/sample-result';
import { renderToStaticMarkup } from 'react-dom/server';
import { basisWords } from '../parts/basis-words';
import { cssGrey } from '../parts/grey';
import { ChipList } from './scale/ChipList';
import { LeastWork } from './scale/LeastWork';
import { StripCompare } from './scale/StripCompare';

const labels = ['1', '2', '3', '4', '5'];
const result = (leastWork: ScaleResult['leastWork']): ScaleResult =>
  sampleScale(sampleSteps({ targets: [90, 70, 50, 30, 10] }), { leastWork });

test('the fewest steps to paint again are named with how far each has to go', () => {
  const html = renderToStaticMarkup(
    <LeastWork
      result={result([
        { step: 2, from: 80, to: 70 },
        { step: 4, from: 20, to: 30 },
      ])}
      labels={['A', 'B', 'C', 'D', 'E']}
      says={['10 L* too light for B: black.', 'Something for D.']}
    />,
  );
  expect(html).toMatch(/Paint B \(.*darker\).* and D \(.*lighter\) again; the rest may stay\./);
  expect(html).toContain('<li>10 L* too light for B: black.</li>');
  expect(renderToStaticMarkup(<LeastWork result={result([])} labels={labels} says={null} />)).toContain(
    'nothing needs painting again',
  );
  expect(renderToStaticMarkup(<LeastWork result={result(null)} labels={labels} says={null} />)).toBe('');
});

const chip = (place: number, step: number, nearest: number, more: Partial<MeasuredChip> = {}): MeasuredChip => ({
  place,
  step,
  nearest,
  belongs: nearest,
  what: 'pure',
  lightness: 50,
  a: 0,
  b: 0,
  ...more,
});

test('chips: how many lie right, how many belong to the middle, and where the others go', () => {
  const html = renderToStaticMarkup(
    <ChipList
      labels={labels}
      chips={[
        chip(1, 1, 1),
        chip(2, 2, 3),
        chip(3, 5, 4, { belongs: 3.6, what: 'dark' }),
        chip(4, 4, 4, { what: 'tint' }),
      ]}
    />,
  );
  expect(html).toContain('2 of 4 lie under the grey that is as light');
  expect(html).toContain('2 of 4 belong to the middle third');
  expect(html).toContain('Under 2, a strong colour: belongs under 3.');
  expect(html).toContain('Under 5, a darkened or dulled colour: belongs under 4, towards 3.');
  expect([...html.matchAll(/<li>/g)]).toHaveLength(2);
});

test('every way of knowing the white has words of its own', () => {
  const said = (['nominal', 'measured', 'carried', 'ends'] as const).map((whiteBasis) =>
    basisWords({ whiteBasis, paper: null, sizeMm: null }),
  );
  expect(new Set(said).size).toBe(4);
  expect(basisWords({ whiteBasis: 'ends', paper: 'none', sizeMm: null })).toContain('order and gaps only');
  expect(basisWords({ whiteBasis: 'ends', paper: 'paper', sizeMm: null })).not.toContain('order and gaps only');
  const board = { width: 401.4, height: 299.8 };
  expect(basisWords({ whiteBasis: 'nominal', paper: null, sizeMm: { ...board, assumed: false } })).toMatch(
    /It is 401 × 300 mm\.$/,
  );
  expect(basisWords({ whiteBasis: 'nominal', paper: null, sizeMm: { ...board, assumed: true } })).toContain(
    'measure it once',
  );
});

test('the strip stands on the greys that were wanted, the lit ones marked by a shape', () => {
  const strip = (more: Partial<Parameters<typeof StripCompare>[0]> = {}) =>
    renderToStaticMarkup(
      <StripCompare
        picture="/picture/a/strip"
        targets={[90, 50, 10]}
        perRow={3}
        gapPercent={1}
        tall={false}
        squint={false}
        lit={[2]}
        {...more}
      />,
    );
  for (const l of [90, 50, 10]) expect(strip()).toContain(cssGrey(l));
  expect([...strip().matchAll(/rotate-45/g)]).toHaveLength(1);
  expect(strip({ lit: [] })).not.toContain('rotate-45');
  expect(strip({ squint: true })).toContain('url(#squint)');
  expect(strip({ picture: null })).toContain('is being made');
  expect(strip({ tall: true })).toContain('44vh');
});
