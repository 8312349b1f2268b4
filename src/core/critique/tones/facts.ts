/** What the rules of paintings in few tones go by: the numbers behind each code. */
import type { Ends } from '../../exercise/scale';
import type { NotanResult } from '../../notan/result';

export type MeasuredRegion = NotanResult['regions'][number];
export type MeasuredTone = NotanResult['tones'][number];
export type MeasuredMass = NotanResult['masses'][number];
export type MeasuredPair = NotanResult['pairs'][number];

/** A measured painting, and what was asked of it. */
export interface ToneReading {
  readonly result: NotanResult;
  readonly ends: Ends;
  /** Whether the lightest tone is to be used sparingly. */
  readonly whiteSparing: boolean;
}

export interface EndFacts {
  readonly lightness: number;
  readonly target: number;
  /** Lightness of a frame that was painted round it; null where there is none. */
  readonly frame: number | null;
}

export interface MassFacts {
  readonly mass: MeasuredMass;
  /** The tone outside of its steps that more of it has than any other, and the nearest that it was given. */
  readonly tone: number;
  readonly wanted: number;
  /** Share of the mass, and of the picture, that lies outside. */
  readonly share: number;
  readonly area: number;
}

export interface PairFacts {
  readonly pair: MeasuredPair;
  /** What separation could be asked: none more than the picture itself has. */
  readonly due: number;
  /** A step of the exercise, L*. */
  readonly step: number;
  readonly area: number;
  readonly emphasis: number;
  /** Whether one of its shapes was told of already. */
  readonly told: boolean;
}

export interface OverlapFacts {
  readonly overlap: NotanResult['overlaps'][number];
  readonly step: number;
  readonly area: number;
  readonly emphasis: number;
}

export interface ToneFacts {
  readonly big_shapes: { readonly agreement: number };
  readonly flat_tones: { readonly spread: readonly number[]; readonly all: boolean };
  readonly pairs_hold: { readonly pairs: readonly MeasuredPair[] };
  readonly in_their_steps: { readonly inside: readonly number[] };
  readonly decided: { readonly regions: number; readonly slivers: number };
  readonly flipped_shape: MeasuredRegion;
  readonly outside_steps: MassFacts;
  readonly pair_crossed: PairFacts;
  readonly overlap_lighter: OverlapFacts;
  readonly missing_tone: { readonly tone: MeasuredTone; readonly count: number };
  readonly shifted: { readonly x: number; readonly y: number };
  readonly tone_share: { readonly tone: number; readonly share: number; readonly referenceShare: number };
  readonly grey_for_black: EndFacts;
  readonly grey_for_white: EndFacts;
  readonly uneven_tone: { readonly tone: number; readonly spread: number; readonly share: number };
  readonly slivers: { readonly slivers: number };
  readonly sizes_alike: { readonly variety: number };
  readonly ragged_edges: { readonly ragged: number; readonly slivers: number };
  readonly white_not_sparing: { readonly share: number; readonly due: number; readonly hasReference: boolean };
  readonly seams_stand_out: { readonly between: number };
}
