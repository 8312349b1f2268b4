/** What the rules of paintings go by: the numbers behind each code. */
import type { ShareBox } from '../../geometry/share-box';
import type { PaintingResult } from '../../painting/result';

export type OffPart = PaintingResult['regions'][number];
export type LineOff = PaintingResult['accents'][number];
export type ExtentOff = PaintingResult['extents'][number];
export type MassRead = PaintingResult['shapes'][number];
export type BrokenForm = PaintingResult['rules'][number];
export type Moved = PaintingResult['displacements'][number];
export type Sits = NonNullable<PaintingResult['registration']>;

/** A measured painting, and what was asked of it. */
export interface PaintingReading {
  readonly result: PaintingResult;
  /** A step of the exercise, L*, and how many of them something may be off by. */
  readonly step: number;
  readonly tolerance: number;
  /** How many times further off drawing may be than at the last stage. */
  readonly slack: number;
}

export interface PartFacts {
  readonly part: OffPart;
  /** How much of its named shape it is, 0 to 1; all of what has no name. */
  readonly share: number;
  /** Beside the rest of the painting, steps: positive where it is too light. */
  readonly steps: number;
  readonly tolerance: number;
}

export interface WholeFacts {
  /** How much lighter all of it is, steps. */
  readonly steps: number;
  readonly tolerance: number;
}

export interface RangeFacts {
  /** How much of the reference's range is left: 1 where all is. */
  readonly contrast: number;
  /** How many steps the dark and the light end are short of where they should be. */
  readonly short: { readonly dark: number; readonly light: number };
}

/** What is the matter with a feature, the worst first. */
export const WAYS = ['place', 'width', 'height', 'slant'] as const;
export type Way = (typeof WAYS)[number];

export interface MovedFacts {
  readonly moved: Moved;
  readonly ways: readonly Way[];
}

export interface ExtentFacts {
  readonly extent: ExtentOff;
  /** How much that is, steps all over the shape. */
  readonly steps: number;
}

export interface FormFacts {
  readonly rule: BrokenForm;
}

type ColoursRead = NonNullable<PaintingResult['colour']>;
export type ColouredPart = ColoursRead['parts'][number];

/** Which way a colour is off. */
export const TURNS = ['yellow', 'blue', 'red', 'green', 'strong', 'dull'] as const;
export type Turn = (typeof TURNS)[number];

export interface ColourFacts {
  readonly part: ColouredPart;
  readonly turn: Turn;
  /** How far, in a* and b*. */
  readonly off: number;
  readonly tolerance: number;
}

export type WarmthFacts = ColoursRead['warmths'][number];

export type AccentsFacts = NonNullable<PaintingResult['accentsOfColour']>;

export interface CastFacts {
  readonly cast: ColoursRead['cast'];
  readonly turn: Turn;
  readonly off: number;
  readonly tolerance: number;
}

/** How a shape goes over from light to dark otherwise than it should. */
export const GRADIENT_FAULTS = ['flat', 'steep', 'uneven', 'turned'] as const;
export type GradientFault = (typeof GRADIENT_FAULTS)[number];

export interface GradientFacts {
  readonly shape: MassRead;
  readonly fault: GradientFault;
  /** What is amiss from one side of it to the other, steps. */
  readonly steps: number;
}

export interface ContrastFacts {
  readonly contrast: PaintingResult['contrasts'][number];
  /** How much further apart the two are than they should be, steps: below 0 where they are nearer. */
  readonly steps: number;
  /** What sets them apart instead of what should; null where it is as it should be. */
  readonly instead: 'white' | 'colour' | null;
  /** The one of the two that should keep quiet, and stands out too much; null where neither does. */
  readonly shouts: string | null;
}

export interface LineFacts {
  readonly line: LineOff;
}

export type Rescued = NonNullable<PaintingResult['rescue']>;

export interface CrowdedFacts {
  /** Share of it in the middle third, and how much of that the reference has too; null without one. */
  readonly middle: number;
  readonly wanted: number | null;
}

export interface ScatteredFacts {
  readonly pieces: number;
  readonly wanted: number;
}

export interface FocusFacts {
  readonly painted: ShareBox;
  readonly wanted: ShareBox;
  readonly atFocus: { readonly student: number; readonly reference: number };
}

export type SwappedFacts = NonNullable<PaintingResult['stage']>['swapped'][number];

export interface PaintingFacts {
  readonly stain_even: { readonly unevenness: number };
  readonly stain_uneven: { readonly unevenness: number };
  /** How far, steps. */
  readonly masses_apart: { readonly apart: number };
  readonly masses_meet: { readonly apart: number };
  readonly greys_in_order: { readonly pairs: number };
  readonly greys_swapped: SwappedFacts;
  /** Share of the range before that is gone. */
  readonly values_kept: { readonly lost: number };
  readonly values_lost: { readonly lost: number };
  readonly rescue_reaches: Rescued;
  readonly rescue_clearer: Rescued;
  readonly rescue_contrast: Rescued;
  readonly rescue_narrower: Rescued;
  readonly rescue_untouched: Rescued;
  readonly middle_crowded: CrowdedFacts;
  readonly lights_scattered: ScatteredFacts;
  readonly darks_scattered: ScatteredFacts;
  readonly focus_elsewhere: FocusFacts;
  readonly drawing_holds: { readonly shift: number };
  readonly values_hold: { readonly parts: number };
  readonly range_holds: { readonly contrast: number };
  readonly range_short: RangeFacts;
  readonly range_stretched: RangeFacts;
  readonly all_lighter: WholeFacts;
  readonly all_darker: WholeFacts;
  readonly part_off: PartFacts;
  readonly extent_off: ExtentFacts;
  readonly line_off: LineFacts;
  readonly gradient_off: GradientFacts;
  readonly contrast_off: ContrastFacts;
  readonly form_holds: { readonly shapes: number };
  readonly form_broken: FormFacts;
  readonly colours_hold: { readonly parts: number };
  readonly colour_strength: { readonly strength: number };
  readonly colour_cast: CastFacts;
  readonly colour_off: ColourFacts;
  readonly shadow_warmth: WarmthFacts;
  readonly accent_of_colour: AccentsFacts;
  readonly accent_alone: AccentsFacts;
  readonly colour_elsewhere: NonNullable<ColoursRead['strongest']>;
  readonly feature_moved: MovedFacts;
  readonly gap_off: { readonly gap: PaintingResult['gaps'][number] };
  readonly picture_moved: Sits;
  readonly picture_turned: Sits;
  readonly picture_sized: Sits;
}
