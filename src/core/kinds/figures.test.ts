/** Figures of measurements, beside what was put in. */
import { draftOf } from './draft';
import { figuresOf } from './figures';
import { defaultTerms } from './table';
import { samplePainting, sampleShape } from '../painting/sample-result';
import { SAMPLE_CAPTURE } from '../capture/sample-capture';
import { measureGaps, targetsFor } from '../scale/flags';
import { sampleScale, sampleSteps } from '../scale/sample-result';

const terms = { ...defaultTerms('scale'), steps: 5 };
const targets = targetsFor(terms, []);
const step = ((targets[0] ?? 0) - (targets[4] ?? 0)) / 4;

test('a scale: its mean, its largest and its signed distance, in steps, and each step by itself', () => {
  const off = [0, 0.5 * step, -step, 0, 0];
  const lightness = targets.map((t, i) => t + (off[i] ?? 0));
  const sure = targets.map(() => 0.3);
  const result = sampleScale(sampleSteps({ targets, lightness, own: { 2: { flags: ['off_target'] } } }), {
    gaps: measureGaps(terms, lightness, sure),
  });
  const draft = draftOf(result, terms, 'white-is-one');
  const figures = figuresOf(result, draft);
  const errors = result.steps.map((s) => s.errorSteps);
  expect(figures.kind).toBe('scale');
  expect(figures.error).toBeCloseTo(errors.reduce((sum, e) => sum + Math.abs(e), 0) / 5);
  expect(figures.bias).toBeCloseTo(errors.reduce((sum, e) => sum + e, 0) / 5);
  expect(figures.worst).toBeCloseTo(Math.max(...errors.map(Math.abs)));
  expect(figures.steps.map((s) => s.lightness)).toEqual(lightness);
  expect(figures.steps[1]?.flags).toEqual(['off_target']);
  const fixes = draft.filter((f) => f.kind === 'fix');
  expect(figures.findings.map((f) => f.code)).toEqual(draft.map((f) => f.code));
  expect(figures.need).toBeCloseTo(fixes.reduce((sum, f) => sum + f.weight, 0));
  expect(figures.need).toBeGreaterThan(0);
});

test('a painting: its shapes count by their area', () => {
  const shape = (name: string, area: number, deltaLightness: number) =>
    sampleShape(name, { area, deltaLightness, lightness: 50, target: 50 - deltaLightness, residual: deltaLightness });
  const result = samplePainting({ step: 10, shapes: [shape('wall', 0.3, 10), shape('jug', 0.1, -10)] });
  const { error, bias, worst, ...rest } = figuresOf(result, []);
  expect([error, bias, worst].map((n) => n?.toFixed(6))).toEqual(['1.000000', '0.500000', '1.000000']);
  expect(rest).toMatchObject({ kind: 'painting', need: 0, findings: [] });
});

test('nothing is read into a picture that was refused', () => {
  const capture = { ...SAMPLE_CAPTURE, accepted: false };
  const figures = figuresOf(sampleScale(sampleSteps({ targets }), { capture }), []);
  expect(figures).toMatchObject({ error: null, worst: null, bias: null, darkest: null });
});
