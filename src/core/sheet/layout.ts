/** What every sheet lays out inside its frame: places to paint, places to try a mix, room for words. */
import type { BoxMm } from '../geometry/box';
import type { ChromaPatchMm } from './chroma';
import type { SheetFrame } from './frame';

export interface IndexedBoxMm extends BoxMm {
  /** From 1, left to right, top to bottom. */
  readonly index: number;
}

export interface SheetLayout extends SheetFrame {
  readonly kind: 'scale' | 'picture';
  readonly cells: readonly IndexedBoxMm[];
  readonly dabs: readonly IndexedBoxMm[];
  /** Places for chips of colour, as many columns as there are steps; empty where none are asked for. */
  readonly chips: readonly IndexedBoxMm[];
  /** Coloured patches, where hue is judged; empty else. */
  readonly chroma: readonly ChromaPatchMm[];
  /** Lines of words begin here; the height says how far down they may reach. */
  readonly wordsTopMm: number;
  readonly wordsHeightMm: number;
}
