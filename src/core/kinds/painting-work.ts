/** How a painting is built up, whatever it is painted from. */
import type { PictureTerms } from '../exercise/terms';
import { pictureWork } from './picture';
import { STEP_BACK, WASH } from './work-words';

export const IN_ONE_SITTING = [
  'Two masses first: light and shadow, cast shadows joined to the shadows they run from.',
  'Background to foreground, large shapes to small, large brush to small.',
  'Then the values inside each mass; reflected light stays darker than the halftones beside it.',
  WASH,
];

/** Lines of a painting's work: how it is built up, then its edges, then the photograph. */
export function paintingWork(terms: PictureTerms, buildUp: readonly string[] = IN_ONE_SITTING): string[] {
  const edges = terms.judging.edgesWanted
    ? ['Last, the edges: firm where you want the eye, soft or lost elsewhere.']
    : [];
  return pictureWork(terms, [
    ...buildUp,
    ...edges,
    STEP_BACK,
    'When it is dry: photograph it flat, in even light, with no shine.',
  ]);
}
