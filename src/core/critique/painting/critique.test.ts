/** What is said of a painting, from what was measured of it. */
import { SAMPLE_CAPTURE } from '../../capture/sample-capture';
import type { PaintingResult } from '../../painting/result';
import { FORM_CODES } from '../../painting/form/codes';
import { sampleCurve, sampleFeature, samplePainting, sampleRegion, sampleShape } from '../../painting/sample-result';
import { stageResult } from '../../painting/stage';
import { findingSchema } from '../finding';
import { critiquePainting } from './critique';

const TOLERANCE = 0.5;
const critique = (more?: Partial<PaintingResult>) => critiquePainting(samplePainting(more), TOLERANCE);
const fixes = (more: Partial<PaintingResult>) => critique(more).filter((f) => f.kind === 'fix');
const sits = (more: Partial<NonNullable<PaintingResult['registration']>>) => ({
  registration: { shift: { x: 0, y: 0 }, scale: { x: 1, y: 1 }, rotation: 0, shear: 0, ...more },
});
test('a good one is praised for what it measured, and nothing is to be mended', () => {
  const findings = critique();
  expect(findings.map((f) => [f.kind, f.code])).toEqual([
    ['works', 'drawing_holds'],
    ['works', 'values_hold'],
    ['works', 'range_holds'],
  ]);
  findings.forEach((f) => expect(findingSchema.parse(f)).toEqual(f));
});

test('a part that is off is told by its name or place and in steps, the heaviest first', () => {
  const told = fixes({
    regions: [
      sampleRegion(-1.4, { id: '1.1', shape: 'loaf > shadow side' }),
      sampleRegion(2.1, { id: '9.9', area: 0.09, box: { x: 0.7, y: 0.7, width: 0.2, height: 0.2 } }),
    ],
  });
  expect(told.map((f) => [f.say, f.do])).toEqual([
    ['A shape at the bottom right is far too light beside the rest.', 'Bring it down by two steps.'],
    ['Beside the rest the shadow side of the loaf is clearly too dark.', 'Bring it up by a step and a half.'],
  ]);
  expect(told[1]?.where.shape).toBe('loaf > shadow side');
  expect(told[0]?.key).toBe('part_off shape 9.9');
});

test('two parts of one named shape are one finding, and parts of an object go along with it', () => {
  const regions = [
    sampleRegion(1, { id: '1.1', shape: 'wall', area: 0.1 }),
    sampleRegion(2, { id: '8.8', shape: 'wall', area: 0.1 }),
    sampleRegion(-2, { id: '9.9', shape: 'wall' }),
  ];
  expect(fixes({ regions }).map((f) => [f.key, f.evidence['steps'], f.evidence['area']])).toEqual([
    ['part_off shape 1.1', 1.5, 0.2],
    ['part_off shape 9.9', -2, 0.04],
  ]);
  const names = ['jug', 'jug > lit side', 'jug > handle'];
  const displacements = names.map((name, k) => sampleFeature({ name, id: name, dx: k === 2 ? 0.06 : 0.03 }));
  expect(fixes({ displacements }).map((f) => f.where.shape)).toEqual(['jug', 'jug > handle']);
});

test('the parts of an object that is too narrow lie nearer to its middle, and only the object is told', () => {
  const at = (x: number, width: number) => ({ x, y: 0.3, width, height: 0.4 });
  const narrow = { width: 0.89, dx: 0.003 };
  const jug = sampleFeature({ ...narrow, name: 'jug', id: 'jug', box: at(0.3, 0.4) });
  const shadow = sampleFeature({ ...narrow, name: 'jug > shadow side', id: 's', box: at(0.3, 0.14), dx: 0.017 });
  const lit = sampleFeature({ ...narrow, name: 'jug > lit side', id: 'l', box: at(0.44, 0.26), dx: -0.005 });
  expect(fixes({ displacements: [jug, shadow, lit] }).map((f) => f.where.shape)).toEqual(['jug']);
  const apart = { ...shadow, dx: -0.03 };
  expect(fixes({ displacements: [jug, apart, lit] }).map((f) => f.where.shape)).toContain('jug > shadow side');
});

test('a light that gave way to its shadow is told by where they meet, and not as having moved', () => {
  const light = sampleFeature({ name: 'jug > light', dx: -0.02, width: 0.8 });
  const box = { x: 0.1, y: 0.1, width: 0.2, height: 0.2 };
  const wide = { id: 'e', box, name: 'jug > shadow', kind: 'wide' as const, by: 0.25 };
  expect(fixes({ displacements: [light], extents: [wide] }).map((f) => f.code)).toEqual(['extent_off']);
  const cup = { ...wide, name: 'cup > shadow' };
  expect(fixes({ displacements: [light], extents: [cup] }).map((f) => f.code)).toContain('feature_moved');
});

test('what the exercise allows is not told, and a stricter one tells it', () => {
  const regions = [sampleRegion(0.45)];
  expect(critiquePainting(samplePainting({ regions }), 0.5).filter((f) => f.kind === 'fix')).toEqual([]);
  expect(critiquePainting(samplePainting({ regions }), 0.3).map((f) => f.code)).toContain('part_off');
});

test.each([
  [sampleCurve(38, 96), 'range_short', 'most of all the darks are not dark enough'],
  [sampleCurve(24, 80), 'range_short', 'most of all the lights are not light enough'],
  [sampleCurve(10, 102), 'range_stretched', 'further apart'],
  [sampleCurve(32, 103), 'all_lighter', 'a little lighter than it should be'],
  [sampleCurve(4, 76), 'all_darker', 'far darker than it should be'],
])('the whole is told once (%#): %s', (more, code, words) => {
  const told = fixes(more).find((f) => f.code === code);
  expect(told?.say).toContain(words);
});

test('one end that gives way is told as that, and not as a whole that is too light', () => {
  expect(fixes(sampleCurve(38, 96)).map((f) => f.code)).toEqual(['range_short']);
  expect(fixes(sampleCurve(34, 104)).map((f) => f.code)).toEqual(['all_lighter']);
});

test('between marked corners nothing is said of ends, range or how light the whole is', () => {
  const capture = { ...SAMPLE_CAPTURE, mode: 'relative' as const, target: 'corners' as const };
  for (const more of [sampleCurve(40, 80), sampleCurve(40, 110), sampleCurve(4, 76), sampleCurve(24, 96)])
    expect(critique({ ...more, capture }).map((f) => f.code)).toEqual(['drawing_holds', 'values_hold']);
});

test('a feature is told by its worst two ways', () => {
  const told = (more: Parameters<typeof sampleFeature>[0]) =>
    fixes({ displacements: [sampleFeature({ name: 'egg', ...more })] })[0];
  expect(told({ dx: 0.04 })?.say).toBe('The egg stands clearly to the right.');
  expect(told({ dy: 0.02, height: 1.2 })?.say).toBe('The egg is too tall and stands a little too low.');
  expect(told({ width: 0.8 })?.do).toContain('width against its height');
  expect(told({ slant: -9 })?.say).toBe('The egg leans to the left.');
  expect(told({ dx: 0.01, slant: 2, width: 1.04 })).toBeUndefined();
  expect(fixes({ displacements: [sampleFeature({ dx: -0.07 })] })[0]?.say).toBe(
    'What stands at the top left stands far to the left.',
  );
});

const BOX = { x: 0.05, y: 0.05, width: 0.2, height: 0.1 };

test('a shape that reaches too far, or is too full, is told by its name, the heaviest first', () => {
  const told = fixes({
    extents: [
      { id: '1.1', box: BOX, name: 'jug > lit side', kind: 'wide', by: 0.12 },
      { id: '2.2', box: BOX, name: 'jug > shadow', kind: 'detail', by: 9 },
      { id: '3.3', box: BOX, name: null, kind: 'narrow', by: -0.2 },
    ],
  });
  expect(told.map((f) => [f.key, f.say])).toEqual([
    ['extent_off shape 2.2', 'There is too much to see inside the shadow of the jug.'],
    ['extent_off shape 3.3', 'A shape at the top left is too narrow.'],
    ['extent_off shape 1.1', 'The lit side of the jug is too wide.'],
  ]);
  told.forEach((f) => expect(findingSchema.parse(f)).toEqual(f));
});

test('thin lines are told by where they are, missing ones before faint ones, and never more than a few', () => {
  const line = (kind: PaintingResult['accents'][number]['kind'], k: number) => ({
    id: `${k}.1`,
    box: BOX,
    kind,
    light: k % 2 === 1,
    amount: 0.4,
  });
  const told = fixes({ accents: (['weak', 'missing', 'thin', 'wide', 'extra', 'weak', 'thin'] as const).map(line) });
  expect(told).toHaveLength(5);
  expect(told.slice(0, 3).map((f) => f.say)).toEqual([
    'A thin light line at the top left is missing.',
    'There is a thin dark line at the top left that the reference has not.',
    'The thin dark line at the top left is too faint.',
  ]);
  expect(told[0]?.evidence).toMatchObject({ amount: 0.4 });
});

test.each([
  [sits({ shift: { x: -0.03, y: 0.02 } }), 'The whole picture sits clearly to the left and a little too low'],
  [sits({ rotation: 2 }), 'The whole picture leans to the right.'],
  [sits({ scale: { x: 0.94, y: 0.95 } }), 'The whole picture is smaller than its frame has it.'],
  [sits({ scale: { x: 1.06, y: 1 } }), 'The whole picture is wider than its frame has it.'],
])('how the whole sits is told (%#)', (more, words) => {
  const findings = critique(more);
  expect(findings.find((f) => f.kind === 'fix')?.say).toContain(words);
  expect(findings.map((f) => f.code)).not.toContain('drawing_holds');
});

test('what was not accepted, or not laid on its reference, has nothing said of it', () => {
  expect(critique({ registration: null })).toEqual([]);
  expect(critique({ capture: { ...SAMPLE_CAPTURE, accepted: false } })).toEqual([]);
});

test('said to a student there are no percentages, codes or paths of names', () => {
  const all = [
    ...fixes({ regions: [sampleRegion(1, { shape: 'jug > lit side' }), sampleRegion(-3)], ...sampleCurve(34, 84) }),
    ...fixes({
      displacements: [sampleFeature({ dx: 0.04, width: 1.3, name: 'jug > handle' })],
      ...sits({ rotation: 3 }),
    }),
  ];
  expect(all.length).toBeGreaterThan(4);
  for (const { say, do: act } of all) expect(`${say} ${act}`).not.toMatch(/[%>_*]/);
});

test('each rule of form is told in words of the studio, with the figures in the evidence', () => {
  for (const code of FORM_CODES) {
    const box = { x: 0.1, y: 0.1, width: 0.3, height: 0.3 };
    const names = ['jug > shadow side', 'jug > lit side'];
    const told = fixes({ rules: [{ id: '5.5', code, object: 'jug', names, value: 1.234, limit: 0, box }] });
    expect(told).toMatchObject([{ code: 'form_broken', evidence: { value: 1.23, limit: 0 } }]);
    expect(told[0]?.say).not.toMatch(/[_%>]|\d/);
    expect(told[0]?.do).toBeTruthy();
  }
});

test('of many broken rules the heaviest are told, each with a key of its own', () => {
  const rules = FORM_CODES.map((code) => ({
    ...{ id: '5.5', code, object: 'jug', names: ['jug'], value: 1, limit: 0 },
    box: { x: 0, y: 0, width: 0.5, height: 0.5 },
  }));
  const told = fixes({ rules });
  expect(told.length).toBe(5);
  expect(new Set(told.map((f) => f.key)).size).toBe(5);
  expect(told[0]?.say).toContain('the shadow is as light as some of the light');
});

test('before the last stage only its own question and large errors are told', () => {
  const regions = [sampleRegion(2)];
  const displacements = [sampleFeature({ dx: 0.02 })];
  const at = (asks: 'even' | 'two-masses' | 'order', last: boolean, more = {}) =>
    critique({ regions, displacements, accents: [], stage: stageResult({ asks, last }, more) }).map((f) => f.code);
  expect(at('even', false, { unevenness: 3 })).toEqual(['stain_even']);
  expect(at('two-masses', false, { apart: -4 })).toEqual(['drawing_holds', 'masses_meet']);
  expect(at('order', false)).toEqual(['drawing_holds', 'greys_in_order', 'part_off']);
  expect(at('order', true)).toEqual(['greys_in_order', 'range_holds', 'part_off', 'feature_moved']);
});

test('greys that changed places are told by where they lie, and a glaze by what it took', () => {
  const swapped = [
    {
      lighter: { x: 0, y: 0, width: 0.2, height: 0.2 },
      darker: { x: 0.7, y: 0.7, width: 0.2, height: 0.2 },
      by: 9,
    },
  ];
  const [told] = fixes({ stage: stageResult({ asks: 'order', last: true }, { swapped }) });
  expect(told?.say).toBe('A shape at the top left should be lighter than one at the bottom right, and is darker.');
  const glaze = (range: number) =>
    critique({
      stage: stageResult({ asks: 'kept', last: true }),
      rescue: { repainted: 1, range, crowding: 0, contrast: 0 },
    }).map((f) => f.code);
  expect(glaze(-20)).toContain('values_lost');
  expect(glaze(-2)).toContain('values_kept');
});

test('from life the masses are praised where their form holds, and told where it does not', () => {
  const alone = { target: null, deltaLightness: null, residual: null };
  const life = {
    fromLife: true,
    registration: null,
    overall: null,
    shapes: [
      sampleShape('jug > lit side', { ...alone, part: 'lit' }),
      sampleShape('jug > shadow', { ...alone, part: 'shadow' }),
    ],
  };
  const codes = (more: Partial<PaintingResult>) => critique({ ...life, ...more }).map((f) => f.code);
  expect(codes({})).toEqual(['form_holds']);
  // Where nothing was asked nothing is praised.
  expect(codes({ shapes: life.shapes.slice(1) })).toEqual([]);
  const rules = [
    {
      id: '1.1',
      code: 'separation' as const,
      object: 'jug',
      names: ['jug > shadow'],
      value: -4,
      limit: 0,
      box: BOX,
    },
  ];
  expect(codes({ rules })).toContain('form_broken');
});

test('a gap that closed up is told between its neighbours, and one that changed a little is not', () => {
  const gap = (wanted: number, painted: number) => ({
    gaps: [
      {
        between: ['jug', 'egg'] as [string, string],
        way: 'across' as const,
        wanted,
        painted,
        box: BOX,
      },
    ],
  });
  expect(fixes(gap(0.03, -0.002)).map((f) => f.say)).toEqual(['The gap between the jug and the egg has closed up.']);
  expect(fixes(gap(0.02, 0.05)).map((f) => f.say)).toEqual(['The gap between the jug and the egg is too wide.']);
  expect(fixes(gap(0.03, 0.022))).toEqual([]);
});

test('what is off in a little of a named shape is told as a part of it, with where it is', () => {
  const region = sampleRegion(2, { shape: 'wall', area: 0.02 });
  const said = (area: number) =>
    fixes({ regions: [region], shapes: [sampleShape('wall', { area })] }).map((f) => f.say);
  expect(said(0.5)).toEqual(['A part of the wall at the top left is far too light beside the rest.']);
  expect(said(0.03)).toEqual(['The wall is far too light beside the rest.']);
});

test('a part of a shape that is too light is no detail besides', () => {
  const extents = [{ id: '4.4', box: BOX, name: 'wall', kind: 'detail' as const, by: 4 }];
  expect(fixes({ extents }).map((f) => f.code)).toEqual(['extent_off']);
  expect(fixes({ extents, regions: [sampleRegion(2, { shape: 'wall' })] }).map((f) => f.code)).toEqual(['part_off']);
});
