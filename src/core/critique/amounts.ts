/** Amounts as they are said in the studio. */

const AMOUNTS: readonly (readonly [upTo: number, words: string])[] = [
  [0.18, 'a touch'],
  [0.29, 'a quarter of a step'],
  [0.41, 'a third of a step'],
  [0.6, 'half a step'],
  [0.85, 'three quarters of a step'],
  [1.15, 'a whole step'],
  [1.6, 'a step and a half'],
  [2.5, 'two steps'],
];

/** A distance in steps as it is said in the studio; the sign is left out. */
export function inSteps(steps: number): string {
  const size = Math.abs(steps);
  return AMOUNTS.find(([upTo]) => size <= upTo)?.[1] ?? `${Math.round(size)} steps`;
}
