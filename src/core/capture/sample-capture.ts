/** What a result says of a photograph with which nothing is the matter: for tests that need a result and no photograph. */
import type { Capture } from './capture-result';

/** A sheet in fair light, read by a nominal print. */
export const SAMPLE_CAPTURE: Capture = {
  target: 'sheet',
  mode: 'calibrated',
  whiteBasis: 'nominal',
  accepted: true,
  issues: [],
  uncertainty: 3,
  colour: 'assumed',
  sizeMm: null,
  paper: null,
  tag: null,
  corners: null,
};
