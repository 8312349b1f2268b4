/** What the page on which masses are painted asks its worker, and what it hears. */
import type { MassEdit, SetUpMass } from '@/core/reference/set-up';

export interface MassesShown {
  readonly width: number;
  readonly height: number;
  /** Masses that lie in the picture: share of it, and a place well inside each. */
  readonly masses: readonly {
    readonly id: string;
    readonly share: number;
    readonly at: { readonly x: number; readonly y: number };
  }[];
}

export interface MassPainting {
  /** Takes the painting in its tones, and the canvas that is drawn on. */
  open(tones: Blob, canvas: OffscreenCanvas): Promise<void>;
  /** Draws the masses as they lie after what was done; `picked` stands out. */
  show(edits: readonly MassEdit[], masses: readonly SetUpMass[], picked: string | null): Promise<MassesShown>;
}
