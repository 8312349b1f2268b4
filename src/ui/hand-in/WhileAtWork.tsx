/** What a kind shows a student while they are at work: one entry a kind, most have none. */
import type { ExerciseKind, ExerciseTerms, TermsOf } from '@/core/exercise/terms';
import type { ReactNode } from 'react';
import { GoalTimer } from './GoalTimer';

const SHOWN: { readonly [K in ExerciseKind]?: (terms: TermsOf<K>) => ReactNode } = {
  'quick-studies': ({ goals, minutes }) => <GoalTimer goals={goals} minutes={minutes} />,
};

export function WhileAtWork({ terms }: { readonly terms: ExerciseTerms }) {
  const show = SHOWN[terms.kind] as ((terms: ExerciseTerms) => ReactNode) | undefined;
  return <>{show?.(terms)}</>;
}
