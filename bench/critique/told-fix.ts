import type { ShareBox } from '@/core/geometry/share-box';
import type { PaintingResult } from '@/core/painting/result';

/** A fix as the bench needs to know it. */
export interface ToldFix {
  readonly key: string;
  readonly code: string;
  readonly shape: string | undefined;
  readonly box: ShareBox | undefined;
  /** Of a value: how much too light, steps. */
  readonly steps: number;
  /** Of a part: rings of shares of the picture. */
  readonly outline: PaintingResult['regions'][number]['outline'];
  /** Of a line: what is the matter with it, and whether it is a light one. */
  readonly kind: string | null;
  readonly light: boolean;
  readonly weight: number;
}
