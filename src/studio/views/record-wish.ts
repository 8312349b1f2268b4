/** What somebody wants to see of a record, as it stands in an address. */
import { z } from 'zod';
import { COURSE_KEYS } from './record';

const id = z.string().max(60).nullable().catch(null);

export const recordWishSchema = z
  .object({
    figure: z.enum(COURSE_KEYS).catch('error'),
    student: id.default(null),
    exercise: id.default(null),
  })
  .transform(({ figure, student, exercise }) => ({ key: figure, studentId: student, exerciseId: exercise }));
