/** How a painting is framed in its photograph, as a request says it. */
import { BadCorners, checkCorners } from '@/core/capture/open-corners';
import { type StoredTarget, storedTargetSchema } from '@/core/capture/stored-target';
import { Refused } from '@/studio/access/actor';

/** Throws Refused with what is wrong with it; null where the request says nothing, and a worksheet is meant. */
export function targetOf(request: Request): StoredTarget | null {
  const text = new URL(request.url).searchParams.get('target');
  if (text === null) return null;
  let parsed: ReturnType<typeof storedTargetSchema.safeParse>;
  try {
    parsed = storedTargetSchema.safeParse(JSON.parse(text));
  } catch {
    throw new Refused('The corners did not come through: mark them once more.');
  }
  if (!parsed.success)
    throw new Refused(parsed.error.issues[0]?.message ?? 'The corners did not come through: mark them once more.');
  if (parsed.data.kind === 'marked') {
    try {
      // Fractions do as well as pixels: whether lines cross is the same in both.
      checkCorners(
        parsed.data.corners.map((c) => ({ x: 1000 * c.x, y: 1000 * c.y })),
        1000,
        1000,
      );
    } catch (error) {
      throw error instanceof BadCorners ? new Refused(error.message) : error;
    }
  }
  return parsed.data;
}
