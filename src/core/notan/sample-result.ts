/** Results of paintings in few tones as tests need them, without a photograph. */
import { SAMPLE_CAPTURE } from '../capture/sample-capture';
import { NOTAN_RESULT_VERSION, type NotanResult } from './result';

/** A good one in two tones; `more` says what is special about it. */
export const sampleNotan = (more: Partial<NotanResult> = {}): NotanResult => ({
  version: NOTAN_RESULT_VERSION,
  kind: 'notan',
  reference: 'picture',
  capture: SAMPLE_CAPTURE,
  tones: [
    { index: 1, share: 0.42, referenceShare: 0.4, lightness: 94, spread: 1.2 },
    { index: 2, share: 0.58, referenceShare: 0.6, lightness: 25, spread: 1.4 },
  ],
  agreement: 0.96,
  agreementTolerant: 0.98,
  agreementAligned: 0.97,
  kappa: 0.92,
  shift: { x: 0, y: 0 },
  regions: [],
  shapes: { large: 2, middle: 3, small: 2, largest: 0.4, variety: null, slivers: 0, ragged: 0.1 },
  frame: null,
  seams: 1,
  masses: [],
  pairs: [],
  overlaps: [],
  targets: null,
  ...more,
});

/** Facts of a named mass of which nothing special is known. */
export const sampleMass = (
  name: string,
  more: Partial<NotanResult['masses'][number]> = {},
): NotanResult['masses'][number] => ({
  name,
  part: null,
  emphasis: 1,
  box: { x: 0.1, y: 0.1, width: 0.3, height: 0.4 },
  share: 0.2,
  lightness: 60,
  steps: null,
  inside: null,
  outside: null,
  unused: [],
  ...more,
});
