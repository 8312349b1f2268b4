/** A palette that two set at once: what each of them set, where they differ. */
import { type PaintId, PAINTS } from '@/core/exercise/paints';
import { type Figures, figuresOf } from '@/core/mixing/paint-model';
import { BothVersions } from '../parts/BothVersions';

export interface SetPalette {
  readonly paints: readonly PaintId[];
  readonly figures: Figures;
}
interface Props {
  readonly mine: SetPalette;
  readonly theirs: SetPalette;
  readonly busy: boolean;
  readonly keepMine: () => void;
  readonly keepTheirs: () => void;
}

const told = (paint: PaintId, figures: Figures): string => {
  const { massTone, tinting } = figuresOf(paint, figures);
  return `${PAINTS[paint].name}: L* ${massTone[0]} from the tube, tinting ${tinting}`;
};

/** Its paints, and figures of those that the other has otherwise. */
function wordsOf(own: SetPalette, other: SetPalette): string {
  const apart = own.paints.filter((p) => told(p, own.figures) !== told(p, other.figures));
  return [own.paints.map((p) => PAINTS[p].name).join(', '), ...apart.map((p) => told(p, own.figures))].join('\n');
}

export function PaletteClash({ mine, theirs, ...rest }: Props) {
  return <BothVersions mine={wordsOf(mine, theirs)} theirs={wordsOf(theirs, mine)} {...rest} />;
}
