/** How a painted picture is to be judged: the points on which studios differ, each a choice of the exercise. */
import { z } from 'zod';

export const KEYS = ['full', 'high', 'middle', 'low'] as const;
export const GROUNDS = ['covered', 'for-a-step', 'for-the-shadow'] as const;

export const judgingSchema = z.object({
  /** Targets move this much further from the middle than the reference has them, percent. */
  pushPercent: z.number().min(0, 'Push runs from 0 to 50 percent.').max(50, 'Push runs from 0 to 50 percent.'),
  /** Where the values are to sit; only `full` asks for both ends. */
  key: z.enum(KEYS),
  /** Detail below this share of the width is the student's choice, percent. */
  smallestShapePercent: z
    .number()
    .min(0.5, 'The smallest shape is 0.5 to 20 percent of the width.')
    .max(20, 'The smallest shape is 0.5 to 20 percent of the width.'),
  /** Whether rules of form (reflected light stays in the shadow) win over what the reference shows. */
  rulesWin: z.boolean(),
  /** Where the ground may stay bare. */
  ground: z.enum(GROUNDS),
  edgesWanted: z.boolean(),
  colourPass: z.boolean(),
  /** A frame painted in the darkest paint round each study, so that all its values are seen against one dark. */
  blackFrame: z.boolean(),
});
export type Judging = z.infer<typeof judgingSchema>;

export const USUAL_JUDGING: Judging = {
  pushPercent: 0,
  key: 'full',
  smallestShapePercent: 3,
  rulesWin: false,
  ground: 'covered',
  edgesWanted: false,
  colourPass: false,
  blackFrame: false,
};
