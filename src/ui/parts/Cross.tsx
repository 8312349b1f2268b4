/** The cross that arrow keys move over a picture as wide as 1; `tall` is its height. */
import { onAnyGround } from './on-any-ground';
import type { Place } from './use-drawing-hand';

const ARM = 0.015;

export const Cross = ({ at: [x, y], tall }: { at: Place; tall: number }) =>
  onAnyGround(
    (line) => <path d={`M${x - ARM} ${y * tall}h${2 * ARM}M${x} ${y * tall - ARM}v${2 * ARM}`} {...line} />,
    1,
  );
