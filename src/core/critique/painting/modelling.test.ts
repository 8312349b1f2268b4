/** What is said of how shapes go over from light to dark, and of how they stand out of each other. */
import type { PaintingResult } from '../../painting/result';
import { samplePainting, sampleRegion, sampleShape } from '../../painting/sample-result';
import { critiquePainting } from './critique';

const TOLERANCE = 0.5;
const STEP = samplePainting().step;
const fixes = (more: Partial<PaintingResult>) =>
  critiquePainting(samplePainting(more), TOLERANCE).filter((f) => f.kind === 'fix');
const said = (more: Partial<PaintingResult>) => fixes(more).map((f) => f.say);

/** A shape that goes over by so many steps from left to right. */
const goesOver = (wanted: number, painted: number) => ({
  shapes: [
    sampleShape('egg', {
      gradient: {
        wanted: { x: wanted * STEP, y: 0 },
        painted: { x: painted * STEP, y: 0 },
        across: {
          wanted: Math.abs(wanted) * STEP,
          painted: Math.abs(painted) * STEP,
          off: Math.abs(painted - wanted) * STEP,
        },
      },
    }),
  ],
});
const contrast = (wanted: number, painted: number, colour: [number, number] | null = null) => ({
  contrasts: [
    {
      id: '1.1',
      between: ['egg', 'cloth'] as [string, string],
      box: { x: 0.2, y: 0.2, width: 0.2, height: 0.1 },
      lightness: { wanted: wanted * STEP, painted: painted * STEP },
      chroma: colour && { wanted: colour[0], painted: colour[1] },
      hue: colour && { wanted: 0, painted: 0 },
    },
  ],
});

test.each([
  [3, 0.5, 'The egg is flat'],
  [1.5, 4, 'The egg changes too much'],
  [0.2, 2, 'where it should be of one value'],
  [2, -2, 'grows lighter towards the wrong side'],
])('a shape that should go over by %d steps and does by %d', (wanted, painted, words) => {
  expect(said(goesOver(wanted, painted))).toEqual([expect.stringContaining(words)]);
});

test('a gradient that is a little off is none of anybody’s business', () => {
  expect(said(goesOver(3, 2.2))).toEqual([]);
});

test('sides that are off against each other are told once, as the gradient; a shape that is off all over as that', () => {
  const side = (steps: number, id: string) => sampleRegion(steps, { id, shape: 'egg' });
  const flat = goesOver(3, 0);
  expect(fixes({ ...flat, regions: [side(1, '1'), side(-1, '2')] }).map((f) => f.code)).toEqual(['gradient_off']);
  expect(fixes({ ...flat, regions: [side(1, '1')] }).map((f) => f.code)).toEqual(['part_off']);
});

test('two shapes that each may be as they are, and are too near to each other', () => {
  expect(said(contrast(2, 1))).toEqual(['The egg and the cloth stand out of each other too little.']);
  expect(said(contrast(-2, -3))).toEqual(['The egg and the cloth stand out of each other too much.']);
  expect(said(contrast(0.6, -0.6))[0]).toContain('changed places');
  expect(said(contrast(2, 1.5))).toEqual([]);
  const cloth = (emphasis: number) => ({ shapes: [sampleShape('egg'), sampleShape('cloth', { emphasis })] });
  expect(said({ ...contrast(-2, -3), ...cloth(0.5) })).toEqual([
    'The cloth shouts: it should keep quiet beside what it meets.',
  ]);
  expect(said({ ...contrast(2, 1), ...cloth(0.5) })).toEqual([
    'The egg and the cloth stand out of each other too little.',
  ]);
});

test('what one of the two is told for is not told of both', () => {
  const regions = [sampleRegion(-1, { shape: 'egg' })];
  expect(fixes({ ...contrast(2, 1), regions }).map((f) => f.code)).toEqual(['part_off']);
});

test('white in the place of colour, and colour in the place of light', () => {
  const [white] = fixes(contrast(1, 1.7, [24, 8]));
  expect(white?.say).toContain('by white where they should be by colour');
  expect(white?.do).toContain('Less white, more colour');
  expect(said(contrast(2, 1.3, [8, 24]))[0]).toContain('by colour where they should be by light and dark');
  // As far apart as they should be, and of the colours that they should be of.
  expect(said(contrast(1, 1.4, [24, 23]))).toEqual([]);
});
