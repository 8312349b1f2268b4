/**
 * By what a teacher grades what was handed in: criteria with points, or with steps in words. Nothing here gives a grade: a person does,
 * and what was measured stands beside it.
 */
import { z } from 'zod';
import { FIGURE_KEYS } from '../kinds/figure-words';
import type { Figures } from '../kinds/figures';

export const SCHEME_VERSION = 1;
export const MOST_CRITERIA = 12;
export const MOST_LEVELS = 6;
const MOST_POINTS = 100;

const nameSchema = z.string().trim().min(1, 'Give each criterion a name.').max(60, 'Keep names to 60 characters.');
const pointsSchema = z
  .number('Give points as a number.')
  .min(0, 'Points begin at nought.')
  .max(MOST_POINTS, `Give at most ${MOST_POINTS} points.`);

const levelSchema = z.object({
  name: z.string().trim().min(1, 'Give each step a name.').max(60, 'Keep names to 60 characters.'),
  /** What somebody did who stands there. */
  words: z.string().trim().max(300, 'Keep what a step means to 300 characters.'),
  points: pointsSchema.nullable(),
});

export const criterionSchema = z.object({
  id: z.string().min(1).max(40),
  name: nameSchema,
  /** The figure that stands beside it; null of what is judged by eye. */
  figure: z.enum(FIGURE_KEYS as [keyof Figures, ...(keyof Figures)[]]).nullable(),
  by: z.discriminatedUnion('kind', [
    z.object({ kind: z.literal('points'), most: pointsSchema.refine((p) => p > 0, 'Give more than no points.') }),
    z.object({
      kind: z.literal('levels'),
      levels: z.array(levelSchema).min(2, 'Give at least two steps.').max(MOST_LEVELS),
    }),
  ]),
});
export type Criterion = z.infer<typeof criterionSchema>;

const unlike = (names: readonly string[]) => new Set(names).size === names.length;

export const schemeSchema = z
  .object({
    version: z.literal(SCHEME_VERSION),
    /** Whether students see their grades with the letter. */
    shown: z.boolean(),
    criteria: z
      .array(criterionSchema)
      .min(1, 'Give at least one criterion.')
      .max(MOST_CRITERIA, `Give at most ${MOST_CRITERIA} criteria.`),
  })
  .refine(({ criteria }) => unlike(criteria.map((c) => c.id)), 'Two criteria are kept under one name.')
  .refine(
    ({ criteria }) => criteria.every(({ by }) => by.kind === 'points' || unlike(by.levels.map((l) => l.name))),
    'Give each step of a criterion a name of its own.',
  );
export type Scheme = z.infer<typeof schemeSchema>;

/** What is given by a criterion: points, or a step of it. */
export const givenSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('points'), points: pointsSchema }),
  z.object({ kind: z.literal('level'), level: z.string().max(60) }),
]);
export type Given = z.infer<typeof givenSchema>;

/** A grade as it is kept: with the words and the most of its criterion as they were when it was given. */
export interface Grade {
  readonly name: string;
  readonly points: number | null;
  /** The most that could be had; null where the criterion has no points. */
  readonly most: number | null;
  /** The step that was chosen; null of points. */
  readonly level: string | null;
}

/** The most points that a criterion gives; null where its steps have none. */
export function mostOf({ by }: Criterion): number | null {
  if (by.kind === 'points') return by.most;
  const points = by.levels.flatMap((l) => (l.points === null ? [] : [l.points]));
  return points.length > 0 ? Math.max(...points) : null;
}

/** What is wrong with a grade that does not fit its criterion, as a sentence. */
export type Unfit = string;

/** The grade that is given by a criterion, or why it can't be. */
export function gradeOf(criterion: Criterion, given: Given): Grade | Unfit {
  const { name, by } = criterion;
  const most = mostOf(criterion);
  if (by.kind === 'points') {
    if (given.kind !== 'points') return `“${name}” is graded in points.`;
    if (given.points > by.most) return `“${name}” has ${by.most} points at most.`;
    return { name, most, points: given.points, level: null };
  }
  const level = given.kind === 'level' ? by.levels.find((l) => l.name === given.level) : undefined;
  return level ? { name, most, points: level.points, level: level.name } : `Choose one of the steps of “${name}”.`;
}

/** Points given and points that could be had, over grades that have any; null where none has. */
export function totalOf(grades: readonly Grade[]): { readonly points: number; readonly most: number } | null {
  const counted = grades.flatMap(({ points, most }) => (points === null || most === null ? [] : [{ points, most }]));
  if (counted.length === 0) return null;
  const sum = (of: 'points' | 'most') => counted.reduce((all, grade) => all + grade[of], 0);
  return { points: sum('points'), most: sum('most') };
}

/** A grade in a few words: "7 of 10", "secure", "secure, 3 of 4". */
export function gradeWords({ points, most, level }: Grade): string {
  const counted = points === null || most === null ? null : `${points} of ${most}`;
  return [level, counted].filter((part) => part !== null).join(', ');
}
