/** The mixes that come nearest to some colours. */
import type { Triple } from '@/core/colour/srgb';
import type { MediumId } from '@/core/exercise/media';
import type { PaintId } from '@/core/exercise/paints';
import { type Figures, paletteOf, type Parts } from '@/core/mixing/paint-model';
import { reachColour } from '@/core/mixing/reach';
import { SURFACE_OF } from '@/core/mixing/surface';

export interface NearestTask {
  readonly task: 'nearest';
  readonly paints: readonly PaintId[];
  readonly figures: Figures;
  readonly medium: MediumId;
  readonly wanted: readonly Triple[];
}

export interface Nearest {
  readonly parts: Parts;
  readonly off: number;
}

export function nearestTask({ paints, figures, medium, wanted }: NearestTask): Nearest[] {
  const palette = paletteOf(paints, figures);
  return wanted.map((lab) => {
    const { parts, off } = reachColour(palette, lab, SURFACE_OF[medium]);
    return { parts, off };
  });
}
