/** What a page asks its worker about a photograph, and what it hears. */
import type { CaptureIssue } from '@/core/capture/gate';
import type { ExerciseTerms } from '@/core/exercise/terms';

export interface QuickQuestion {
  readonly id: number;
  readonly file: Blob;
  readonly terms: ExerciseTerms;
}

export interface QuickAnswer {
  readonly id: number;
  /** What it would be refused for; null where the worker could not look at it. */
  readonly issues: readonly CaptureIssue[] | null;
  readonly milliseconds: number;
}
