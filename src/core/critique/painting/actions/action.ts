/** What could be done about a painting, as far as that can be tried out on what was measured of it. */
import type { ExtentOff, LineOff, Moved } from '../facts';

/** A part, or a named shape, to be made lighter (above 0) or darker, L*. */
export interface Shift {
  /** The part that was told as off; null where the whole of a named shape is meant. */
  readonly region: string | null;
  readonly shape: string | null;
  readonly by: number;
  /** Share of the picture. */
  readonly area: number;
}

/** Whose values are shifted: those of what was told, of its neighbour instead, of both, or of all of its object or its light with it. */
export type Whose = 'own' | 'neighbour' | 'both' | 'object' | 'light';

export type Way =
  | { readonly kind: 'shift'; readonly whose: Whose; readonly shifts: readonly Shift[] }
  /** One curve for the whole. */
  | { readonly kind: 'curve' }
  /** A shape that goes over from light to dark as it should. */
  | { readonly kind: 'model'; readonly shape: string }
  | { readonly kind: 'move'; readonly feature: Moved }
  /** A light, or a shadow, made wider or narrower; or what is too lively in it left out. */
  | { readonly kind: 'reach'; readonly extent: ExtentOff }
  | { readonly kind: 'line'; readonly line: LineOff }
  /** An edge to be made softer, or whatever else a rule of form asks for that is no value. */
  | { readonly kind: 'form'; readonly rule: string }
  /** What can't be tried out: it cures what it is said of and nothing besides. */
  | { readonly kind: 'only' };

export interface Action {
  /** Key of what asks for it. */
  readonly asks: string;
  readonly way: Way;
  /** Share of the picture that is painted over. */
  readonly area: number;
}
