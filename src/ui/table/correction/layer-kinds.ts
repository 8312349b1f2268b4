/** The changes that a correction can make, as they are called on its board, and what it is drawn with. */
import type { Means } from '@/core/correction/first-change';
import type { ChangeKind } from '@/core/correction/layer';
import type { CorrectedOf } from '@/core/critique/correction/findings';

/** A paint that a glaze can be laid with. */
type GlazePaint = Means['paints'][number] & {
  readonly name: string;
  /** What can hurt about a glaze of it, and who knows best. */
  readonly caution: string;
};

/** What corrections are drawn with on a Table. */
export interface CorrectingWith {
  readonly of: CorrectedOf;
  readonly paints: readonly GlazePaint[];
  readonly surface: Means['surface'];
}

export const meansOf = ({ of, paints, surface }: CorrectingWith): Means => ({
  ...{ step: of.step, values: of.values, paints, surface },
});

export const CHANGES: readonly { readonly kind: ChangeKind; readonly name: string; readonly hint: string }[] = [
  { kind: 'lightness', name: 'Lighter or darker', hint: 'Draw round what is to be lighter or darker.' },
  { kind: 'soften', name: 'Softer edge', hint: 'Go along the edge that is to be softer.' },
  { kind: 'glaze', name: 'Glaze', hint: 'Draw round what the glaze is to lie on.' },
  { kind: 'move', name: 'Move or turn', hint: 'Draw round the thing that is to stand elsewhere.' },
  { kind: 'shape', name: 'New shape', hint: 'Draw the shape that is to be there.' },
];
