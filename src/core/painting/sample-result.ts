/** Results of paintings as tests need them, without a photograph. */
import { SAMPLE_CAPTURE } from '../capture/sample-capture';
import { PAINTING_RESULT_VERSION, type PaintingResult } from './result';

const BOX = { x: 0.1, y: 0.1, width: 0.2, height: 0.2 };
const STEP = 9;

/** A good one in nine steps; `more` says what is special about it. */
export const samplePainting = (more: Partial<PaintingResult> = {}): PaintingResult => ({
  version: PAINTING_RESULT_VERSION,
  kind: 'painting',
  capture: SAMPLE_CAPTURE,
  step: STEP,
  registration: { shift: { x: 0.002, y: -0.001 }, scale: { x: 1, y: 1 }, rotation: 0.1, shear: 0 },
  overall: {
    curve: [
      { target: 24, painted: 24.5 },
      { target: 60, painted: 60 },
      { target: 96, painted: 95.5 },
    ],
    offset: 0,
    contrast: 0.99,
  },
  regions: [],
  displacements: [],
  gaps: [],
  accents: [],
  extents: [],
  shapes: [],
  contrasts: [],
  rules: [],
  range: { student: { p5: 26, p50: 60, p95: 94 }, reference: { p5: 20, p50: 58, p95: 96 } },
  whole: null,
  rescue: null,
  colour: null,
  accentsOfColour: null,
  stage: null,
  fromLife: false,
  frame: null,
  ...more,
});

/** A part that is off by so many steps beside the rest. */
export const sampleRegion = (
  steps: number,
  more: Partial<PaintingResult['regions'][number]> = {},
): PaintingResult['regions'][number] => ({
  id: '4.4',
  shape: null,
  box: BOX,
  outline: [],
  area: 0.04,
  deltaLightness: steps * STEP,
  residual: steps * STEP,
  deltaSteps: steps,
  ...more,
});

/** A feature that stands where it should; `more` says how it does not. */
export const sampleFeature = (
  more: Partial<PaintingResult['displacements'][number]> = {},
): PaintingResult['displacements'][number] => ({
  id: '8.8',
  name: null,
  box: BOX,
  dx: 0,
  dy: 0,
  width: 1,
  height: 1,
  slant: 0,
  ...more,
});

/** A whole that paints its dark and its light end, which should be at 24 and 96, as it says. */
export const sampleCurve = (dark: number, light: number) => ({
  overall: {
    curve: [
      { target: 24, painted: dark },
      { target: 96, painted: light },
    ],
    offset: (dark + light - 120) / 2,
    contrast: (light - dark) / 72,
  },
});

/** A named shape that is as light as it should be; `more` says how it is not. */
export const sampleShape = (
  name: string,
  more: Partial<PaintingResult['shapes'][number]> = {},
): PaintingResult['shapes'][number] => ({
  name,
  box: BOX,
  area: 0.04,
  lightness: 60,
  target: 60,
  deltaLightness: 0,
  residual: 0,
  part: null,
  emphasis: 1,
  a: null,
  b: null,
  edgeMm: null,
  gradient: null,
  ...more,
});
