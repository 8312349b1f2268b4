/** Lines over a picture that show on light and on dark: a dark one on a wider light one. */
import type { ReactNode, SVGProps } from 'react';

type Stroke = Pick<SVGProps<SVGPathElement>, 'fill' | 'stroke' | 'strokeWidth' | 'vectorEffect'>;

const LIGHT = '#f6f6f6';
const DARK = '#1b1b1b';

const stroke = (colour: string, strokeWidth: number): Stroke => ({
  fill: 'none',
  stroke: colour,
  strokeWidth,
  vectorEffect: 'non-scaling-stroke',
});

/** `line` is drawn with each stroke; `width` is the dark one's in pixels, whatever the picture is scaled by. */
export const onAnyGround = (line: (stroke: Stroke) => ReactNode, width: number): ReactNode => (
  <>
    {line(stroke(LIGHT, width + 2))}
    {line(stroke(DARK, width))}
  </>
);
