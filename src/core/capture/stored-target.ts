/** How a painting is framed in its photograph, where it is not on its worksheet; as it is sent and kept. */
import { z } from 'zod';

const fraction = z.number().min(0, 'A corner lies outside the picture.').max(1, 'A corner lies outside the picture.');

export const storedTargetSchema = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('brackets'),
    depthMm: z.number().min(0).max(100, 'A canvas stands 0 to 100 mm off the table.'),
  }),
  /** Fractions of the upright photograph: top-left, top-right, bottom-right, bottom-left. */
  z.object({
    kind: z.literal('marked'),
    corners: z.array(z.object({ x: fraction, y: fraction })).length(4, 'Mark all four corners.'),
  }),
]);
export type StoredTarget = z.infer<typeof storedTargetSchema>;
