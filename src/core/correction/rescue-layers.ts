/** A plan to mend an old painting as layers of a correction, so that it can be looked at before anything is painted. */
import type { Layer, MaskEdit } from './layer';
import { isHole, type RescuePart, type RescuePlan } from '../painting/rescue/plan';

/** A repainted shape ends at its edge; this much of the width is left to the hand. */
const SOFT = 0.004;
const FEWEST = 3;

function editsOf({ rings }: RescuePart): MaskEdit[] {
  const [outside] = rings;
  if (!outside) return [];
  return rings
    .filter((ring) => ring.length >= FEWEST)
    .map((ring) => ({
      ...{ kind: 'outline', adds: !isHole(ring, outside) },
      points: ring.map(([x, y]): [number, number] => [x, y]),
    }));
}

/** One layer a shape, in the order of the plan. */
export const rescueLayers = ({ parts }: RescuePlan): Layer[] =>
  parts.map((part, k) => ({
    ...{ id: `mend-${k + 1}`, name: '' },
    change: { kind: 'lightness', by: part.becomes - part.lightness },
    mask: { edits: editsOf(part), soft: SOFT },
  }));
