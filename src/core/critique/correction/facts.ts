/** What a layer of a correction asks of the student, as it is told. */
import type { PaintId } from '../../exercise/paints';
import type { ShareBox } from '../../geometry/share-box';

interface Place {
  /** What it is about, by its name; null where nobody named it. */
  readonly name: string | null;
  readonly box: ShareBox;
}

export interface CorrectionFacts {
  /** `by`: L* lighter, in all and in steps of the exercise. */
  readonly corrected_lightness: Place & { readonly by: number; readonly steps: number };
  readonly corrected_edge: Place;
  readonly corrected_glaze: Place & { readonly paint: PaintId; readonly mm: number };
  /** To the right and down, shares; how many times as wide and as tall; degrees clockwise. */
  readonly corrected_place: Place & {
    readonly dx: number;
    readonly dy: number;
    readonly wider: number;
    readonly taller: number;
    readonly turn: number;
  };
  /** `step`: the class's word for the value that is nearest. */
  readonly corrected_shape: Place & { readonly lightness: number; readonly step: string | null };
}
