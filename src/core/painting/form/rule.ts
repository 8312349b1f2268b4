/** What a rule of form is: something that is asked of both, the painting and its reference, and where it stands with each. */
import type { ShareBox } from '../../geometry/share-box';
import type { FormCode } from './codes';
import type { FormPlane } from './form-plane';

/** A rule that a painting breaks. */
export interface BrokenRule {
  readonly code: FormCode;
  readonly object: string | null;
  /** The shapes that it is about. */
  readonly names: readonly string[];
  readonly value: number;
  readonly limit: number;
  readonly box: ShareBox;
}

/** One thing that a rule asks about. */
export interface Asked extends Omit<BrokenRule, 'code'> {
  /** What it is in the painting stands as `value`, and in the reference as this. */
  readonly reference: number;
  /** Whether it has to reach the limit, or must not pass it. */
  readonly sense: 'at least' | 'at most';
  /** The reference keeps the rule only where it does by this much: what is near the limit says nothing of a painting. */
  readonly margin: number;
}

export interface FormRequest {
  readonly plane: FormPlane;
  /** A step of the exercise, L*. */
  readonly step: number;
  readonly lights: number;
  readonly ruleWins: boolean;
  /** Whether there is no reference: both sides are the painting then. */
  readonly fromLife?: boolean;
  /** Widths across edges, in widths of the picture; null where they were not measured. */
  readonly edges: readonly EdgeWidth[];
  /** The lightest step, L*; null where nothing is known of light and dark. */
  readonly lightest: number | null;
}

/** How soft the edge between a shape and what lies about it is, at one stretch of it. */
export interface EdgeWidth {
  readonly shape: number;
  readonly neighbour: number;
  /** The place in the middle of the stretch, on the plane's grid. */
  readonly at: number;
  readonly wanted: number;
  readonly painted: number;
}

export interface FormRule {
  readonly code: FormCode;
  readonly asks: (request: FormRequest) => readonly Asked[];
}

/** Those of what a rule asks that the painting breaks; silent where the reference does too, unless the rule wins. */
export function broken({ code, asks }: FormRule, request: FormRequest): BrokenRule[] {
  return asks(request).flatMap(({ reference, sense, margin, ...own }) => {
    const { value, limit } = own;
    const breaks = sense === 'at least' ? value < limit : value > limit;
    const keeps = sense === 'at least' ? reference >= limit + margin : reference <= limit - margin;
    return breaks && (keeps || request.ruleWins) ? [{ code, ...own }] : [];
  });
}
