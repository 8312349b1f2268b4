/** What the page on which a reference is prepared asks its worker, and what it hears. */
import type { ReferenceFacts } from '@/core/reference/facts';
import type { Preparation } from '@/core/reference/preparation';

/** Ways of seeing the picture. Luma 601 and 709 are there to compare: what video and screens call grey. */
export const BENCH_VIEWS = [
  'colour',
  'grey',
  'luma-601',
  'luma-709',
  'squint',
  'mapped',
  'tones',
  'light',
  'shapes',
] as const;
export type BenchView = (typeof BENCH_VIEWS)[number];

export interface BenchRequest {
  readonly preparation: Preparation;
  readonly left: BenchView;
  readonly right: BenchView;
  /** While a finger moves: nearly right, and quick. */
  readonly moving: boolean;
  /** Whether facts and shapes are told too: they take longer than a hand waits. */
  readonly details: boolean;
  /** Shape that is picked out in the view of shapes; null for none. */
  readonly picked: number | null;
}

export interface BenchShape {
  readonly shape: number;
  /** Share of the picture. */
  readonly share: number;
  /** A place well inside it, shares of width and height. */
  readonly at: { readonly x: number; readonly y: number };
  /** Whether more of it lies in the light. */
  readonly lit: boolean;
}

export interface BenchAnswer {
  readonly width: number;
  readonly height: number;
  readonly thresholds: readonly number[];
  /** Share of each tone, the lightest first. */
  readonly shares: readonly number[];
  /** Counts over L* 0 to 100, 256 bins; the largest is 1. */
  readonly histogram: readonly number[];
  /** Whether it is as the studio will have it, and not only nearly so. */
  readonly exact: boolean;
  /** Null unless details were asked for. */
  readonly facts: ReferenceFacts | null;
  /** Share that the light reaches; null unless details were asked for. */
  readonly lit: number | null;
  /** Largest first; empty unless details were asked for. */
  readonly shapes: readonly BenchShape[];
  /** Why it can't be shown as asked, and what to do; empty where it can. */
  readonly trouble: string;
  readonly milliseconds: number;
}

export interface ReferenceBench {
  /** Takes the working picture and the two canvases that are drawn on. */
  open(picture: Blob, left: OffscreenCanvas, right: OffscreenCanvas): Promise<void>;
  show(request: BenchRequest): Promise<BenchAnswer>;
  /** Number of the shape at a place. */
  shapeAt(x: number, y: number): Promise<number>;
}
