/** What is said of a painting's colours. */
import { SAMPLE_CAPTURE } from '../../capture/sample-capture';
import type { PaintingResult } from '../../painting/result';
import { samplePainting } from '../../painting/sample-result';
import { critiquePainting } from './critique';

const TOLERANCE = 0.5;
const critique = (more?: Partial<PaintingResult>) => critiquePainting(samplePainting(more), TOLERANCE);
const fixes = (more: Partial<PaintingResult>) => critique(more).filter((f) => f.kind === 'fix');

const colour = (more: Partial<NonNullable<PaintingResult['colour']>>): Partial<PaintingResult> => ({
  colour: { strength: 1, cast: { a: 0, b: 0 }, parts: [], strongest: null, warmths: [], ...more },
});
const part = (shape: string, residualA: number, residualB: number, residualChroma = 0) => ({
  ...{ id: shape, shape, box: { x: 0, y: 0, width: 0.3, height: 0.3 }, area: 0.09 },
  ...{ a: 20, b: 20, wantedA: 20, wantedB: 20, residualA, residualB, residualChroma },
});

test('colours: which way a shape is off, and what takes it back; a little off is praised', () => {
  const said = (...own: Parameters<typeof part>) => {
    const { parts = [] } = colour({ parts: [part(...own)] }).colour ?? {};
    return fixes(colour({ parts })).map((f) => f.say);
  };
  expect(said('plant', 3, 15)).toEqual(['Beside the rest the plant is too yellow.']);
  expect(said('plant', -2, -14)).toEqual(['Beside the rest the plant is too blue.']);
  expect(said('pot > lit side', 30, 4)).toEqual(['Beside the rest the lit side of the pot is far too red.']);
  expect(said('pot', -9, -9, -12.5)).toEqual(['Beside the rest the pot is too dull.']);
  expect(critique(colour({ parts: [part('plant', 3, 3)] })).map((f) => f.code)).toContain('colours_hold');
});

test('colours: all of it too yellow, duller, or drawn to another place is told once', () => {
  const box = (x: number) => ({ x, y: 0.1, width: 0.1, height: 0.1 });
  const off = { cast: { a: 2, b: 13 }, strength: 0.5, strongest: { painted: box(0.8), wanted: box(0.1) } };
  const found = fixes(colour(off));
  expect(found.map((f) => f.code).sort()).toEqual(['colour_cast', 'colour_elsewhere', 'colour_strength']);
  expect(found.find((f) => f.code === 'colour_cast')?.say).toContain('too yellow');
  expect(found.find((f) => f.code === 'colour_elsewhere')?.say).toBe(
    'The strongest colour sits at the top right, where the reference has it at the top left.',
  );
});

test('colours that no coloured patch vouches for are told only from further off', () => {
  const own = colour({ parts: [part('plant', 2, 8)] });
  const codes = (basis: 'measured' | 'assumed') =>
    fixes({ ...own, capture: { ...SAMPLE_CAPTURE, colour: basis } }).map((f) => f.code);
  expect(codes('measured')).toEqual(['colour_off']);
  expect(codes('assumed')).toEqual([]);
});

test('a shadow that turns warm where the reference turns cool is told, unless a colour that is off says it already', () => {
  const box = { x: 0.2, y: 0.3, width: 0.3, height: 0.3 };
  const turned = (wanted: number, painted: number) => ({
    ...{ object: 'jug', shadows: ['jug > shadow side'], lights: ['jug > lit side'], box },
    ...{ wanted, painted },
  });
  const codes = (more: Parameters<typeof colour>[0]) => fixes(colour(more)).map((f) => f.code);
  const [told] = fixes(colour({ warmths: [turned(-7, 7)] }));
  expect(told?.say).toBe('In the shadow the jug turns warmer than in the light; in the reference it turns cooler.');
  expect(told?.do).toContain('blue');
  expect(told?.where).toMatchObject({ shape: 'jug > shadow side', box });
  expect(codes({ warmths: [turned(7, -6)] })).toEqual(['shadow_warmth']);
  expect(codes({ warmths: [turned(-7, -9), turned(-7, 1), turned(1, -9)] })).toEqual([]);
  const off = part('jug > shadow side', 2, 14);
  expect(codes({ warmths: [turned(-7, 7)], parts: [off] })).toEqual(['colour_off']);
});

test('another colour in a painting of one hue is told where it may not be, praised where it may be once', () => {
  const at = (x: number) => ({ box: { x, y: 0.1, width: 0.1, height: 0.1 }, area: 0.01, off: 40 });
  const said = (allowed: boolean, ...places: ReturnType<typeof at>[]) =>
    critique({ accentsOfColour: { allowed, places } })
      .filter((f) => f.code.startsWith('accent'))
      .map((f) => [f.kind, f.say]);
  expect(said(false)).toEqual([]);
  expect(said(false, at(0.8))).toEqual([
    ['fix', 'Another colour stands out at the top right: this painting is to be in one hue.'],
  ]);
  expect(said(true, at(0.8))).toEqual([['works', 'The one touch of colour at the top right draws the eye to it.']]);
  expect(said(true, at(0.8), at(0.1))[0]?.[1]).toContain('in more than one place');
});
