/** What is said of a painting as a whole, and of what became of an old one. */
import { SAMPLE_CAPTURE } from '../../capture/sample-capture';
import type { PaintingResult } from '../../painting/result';
import { sampleCurve, samplePainting } from '../../painting/sample-result';
import { stageResult } from '../../painting/stage';
import { critiquePainting } from './critique';

const TOLERANCE = 0.5;
const critique = (more?: Partial<PaintingResult>) => critiquePainting(samplePainting(more), TOLERANCE);
const fixes = (more: Partial<PaintingResult>) => critique(more).filter((f) => f.kind === 'fix');

const asWhole = (middle: number, more: Partial<NonNullable<PaintingResult['whole']>['student']> = {}) => ({
  curve: Array.from({ length: 21 }, (_, k) => 20 + 3.8 * k),
  thirds: { light: (1 - middle) / 2, middle, dark: (1 - middle) / 2 },
  lights: null,
  darks: null,
  focus: { box: { x: 0.1, y: 0.1, width: 0.05, height: 0.05 }, contrast: 60 },
  ...more,
});
const pieces = (count: number) => ({
  pieces: count,
  middle: { x: 0.5, y: 0.5 },
  box: { x: 0, y: 0, width: 0.3, height: 0.3 },
});
const wholeOf = (
  student: ReturnType<typeof asWhole>,
  reference: ReturnType<typeof asWhole> | null,
  atFocus = { student: 1, reference: 1 },
): Partial<PaintingResult> => ({ whole: { student, reference, atFocus: reference && atFocus } });
const codesOf = (more: Partial<PaintingResult>) => fixes(more).map((f) => f.code);

test('a picture of middle greys is told against its reference, and not where its short range says it already', () => {
  const crowded = wholeOf(asWhole(0.7), asWhole(0.4));
  expect(codesOf(crowded)).toEqual(['middle_crowded']);
  expect(codesOf({ ...crowded, ...sampleCurve(40, 80) })).toEqual(['range_short']);
  expect(codesOf(wholeOf(asWhole(0.5), asWhole(0.4)))).toEqual([]);
  // Between marked corners a camera's own curve moves the middle.
  expect(codesOf({ ...crowded, capture: { ...SAMPLE_CAPTURE, mode: 'relative' } })).toEqual([]);
});

test('lights and darks that lie about in pieces are told, and a focus that the reference has not', () => {
  const own = asWhole(0.4, {
    lights: pieces(9),
    darks: pieces(3),
    focus: { box: { x: 0.8, y: 0.8, width: 0.05, height: 0.05 }, contrast: 50 },
  });
  const reference = asWhole(0.4, { lights: pieces(2), darks: pieces(2) });
  expect(codesOf(wholeOf(own, reference))).toEqual(['lights_scattered']);
  const elsewhere = fixes(wholeOf(own, { ...reference, lights: pieces(8) }, { student: 0.5, reference: 0.4 }));
  expect(elsewhere.map((f) => f.say)).toEqual([
    'Light and dark meet most sharply at the bottom right, where the reference has that at the top left.',
  ]);
});

const rescue = (range: number, crowding: number, repainted = 0.4, contrast = 0): Partial<PaintingResult> => ({
  fromLife: true,
  registration: null,
  overall: null,
  stage: stageResult({ asks: 'rescued', last: true }),
  rescue: { repainted, range, crowding, contrast },
  ...wholeOf(asWhole(0.5), null),
});

test('a rescue is told by what changed: praised for what it won, told what it lost, and that nothing was touched', () => {
  const codes = (more: Partial<PaintingResult>) => critique(more).map((f) => f.code);
  expect(codes(rescue(14, -0.2, 0.5, 3))).toEqual(['rescue_reaches', 'rescue_clearer', 'rescue_contrast']);
  expect(codes(rescue(-9, 0))).toEqual(['rescue_narrower']);
  expect(codes(rescue(0.4, 0, 0.004))).toEqual(['rescue_untouched']);
  expect(codes({ ...rescue(8, 0), ...wholeOf(asWhole(0.9), null) })).toEqual(['rescue_reaches', 'middle_crowded']);
  const before = { ...rescue(0, 0), rescue: null, stage: stageResult({ asks: 'as-it-was', last: false }) };
  expect(codes({ ...before, ...wholeOf(asWhole(0.9), null) })).toEqual(['middle_crowded']);
});
