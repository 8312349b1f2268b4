import type { TermsOf } from '../exercise/terms';
import { repaintNudges } from './repaint-nudges';
import { defaultTerms, valuesOf } from './table';

const scale = defaultTerms('scale') as TermsOf<'scale'>;
const terms = {
  ...scale,
  materials: { ...scale.materials, paints: ['titanium-white', 'ivory-black'] as const },
} as typeof scale;
const targets = valuesOf(terms);
const labels = targets.map((_, i) => `S${i + 1}`);
const to = (step: number) => targets[step - 1] ?? 0;

test('too light asks for black, too dark for white, each named by its step', () => {
  const said = repaintNudges(
    terms,
    {},
    [
      { step: 4, from: to(4) + 6, to: to(4) },
      { step: 6, from: to(6) - 6, to: to(6) },
    ],
    targets,
    labels,
  );
  expect(said?.[0]).toMatch(/^6 L\* too light for S4: (ivory black, one part to|one part of S\d)/);
  expect(said?.[1]).toMatch(/^6 L\* too dark for S6: titanium white, .* of the puddle/);
});

test('it aims at where the step is to go, which need not be its target', () => {
  const [near, far] = [2, 12].map(
    (by) => repaintNudges(terms, {}, [{ step: 6, from: to(6) - by, to: to(6) }], targets, labels)?.[0] ?? '',
  );
  expect(near).not.toEqual(far);
  expect(repaintNudges(terms, {}, [{ step: 4, from: to(4) + 6, to: to(4) + 5.5 }], targets, labels)?.[0]).toBe(
    'Right for S4: leave it.',
  );
});

test('a puddle so far off that it would be drowned is mixed anew', () => {
  const said = (from: number) => repaintNudges(terms, {}, [{ step: 3, from, to: to(3) }], targets, labels)?.[0] ?? '';
  expect(said(22)).toMatch(/too dark for S3: mix it anew/);
  expect(said(to(3) - 8)).not.toContain('anew');
});

test('in a scale of one colour a light step is mixed with the colour and not with black', () => {
  const mono = defaultTerms('monochrome-scale') as TermsOf<'monochrome-scale'>;
  const own = {
    ...mono,
    hue: 'ultramarine',
    materials: { ...mono.materials, paints: ['titanium-white', 'ivory-black', 'ultramarine'] },
  } as typeof mono;
  const wanted = valuesOf(own);
  const said =
    repaintNudges(
      own,
      {},
      [{ step: 3, from: (wanted[2] ?? 0) + 8, to: wanted[2] ?? 0 }],
      wanted,
      wanted.map((_, i) => String(i + 1)),
    )?.[0] ?? '';
  expect(said).not.toContain('ivory black');
});

test('paints that make no row of steps say nothing', () => {
  const bare = { ...terms, materials: { ...terms.materials, paints: ['ivory-black'] } } as typeof scale;
  expect(repaintNudges(bare, {}, [{ step: 4, from: 60, to: 50 }], targets, labels)).toBeNull();
});
