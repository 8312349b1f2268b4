/** What the page on which a correction is drawn asks its worker. */
import type { Layer } from '@/core/correction/layer';

/** How a correction is looked at. */
export interface CorrectionLook {
  readonly grey: boolean;
  /** The painting as it is. */
  readonly before: boolean;
}

export interface CorrectionShown {
  readonly width: number;
  readonly height: number;
  /** Whether the last layer covers anything. */
  readonly covers: boolean;
  /** How long it took to show, milliseconds. */
  readonly took: number;
}

export interface CorrectionDesk {
  /** Takes the painting, and the canvas that is drawn on. */
  open(painting: Blob, canvas: OffscreenCanvas): Promise<void>;
  show(layers: readonly Layer[], look: CorrectionLook): Promise<CorrectionShown>;
}
