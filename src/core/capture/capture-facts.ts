/** What a result tells of the photograph itself, whatever was painted. */
import { boxCorners, boxMm } from '../geometry/box';
import type { Sureness } from './sureness';
import { type CaptureIssue, issue } from './gate';
import { type Plane, toPhoto } from './plane';

/** Of a sheet on a card that nothing is known of; the rest is put in where it is known. */
export const CALIBRATED = {
  mode: 'calibrated',
  whiteBasis: 'nominal',
  colour: 'assumed',
  sizeMm: null,
  paper: null,
  tag: null,
  corners: null,
} as const;

/** Corners of a sheet or board as fractions of the photograph. */
export function cornersOf(plane: Plane, widthMm: number, heightMm: number): { x: number; y: number }[] {
  return boxCorners(boxMm(0, 0, widthMm, heightMm)).map(([x, y]) => {
    const p = toPhoto(plane, x, y);
    return { x: p.x / plane.photoWidth, y: p.y / plane.photoHeight };
  });
}

/** Readings outside the card are told, and never refused. */
export function outsideIssues(read: readonly Sureness[]): CaptureIssue[] {
  const outside = read.flatMap((r, i) => (r.extrapolated ? [i + 1] : []));
  return outside.length === 0
    ? []
    : [
        issue(
          'outside_card',
          outside.length,
          `Darker or lighter than the printed greys, so less sure: step ${outside.join(', ')}.`,
        ),
      ];
}
