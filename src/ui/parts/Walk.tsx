/** Checks of one step, each a dot: from left (too light) or right (too dark) towards the middle, where it is right. */
import { cssGrey } from './grey';

export interface WalkStep {
  readonly id: string;
  readonly step: number;
  readonly lightness: number;
  readonly target: number;
}

/** Off by more than this, L*, a dot stands at the edge. */
const WIDEST = 15;

/** `name` is the class's name of the step. */
export function Walk({ checks, name }: { checks: readonly WalkStep[]; name: string }) {
  const at = (c: WalkStep) => 50 - (50 * Math.min(WIDEST, Math.max(-WIDEST, c.lightness - c.target))) / WIDEST;
  const said = checks
    .map((c) => `${Math.abs(c.lightness - c.target).toFixed(0)} too ${c.lightness > c.target ? 'light' : 'dark'}`)
    .join(', then ');
  return (
    <figure className="my-2">
      <svg
        viewBox={`0 0 320 ${18 + 16 * checks.length}`}
        role="img"
        aria-label={`The walk to ${name}: ${said}`}
        className="w-full bg-l80"
      >
        <line x1="160" x2="160" y1="0" y2="100%" className="stroke-l10" strokeWidth="2" />
        <polyline
          points={checks.map((c, i) => `${3.2 * at(c)},${14 + 16 * i}`).join(' ')}
          fill="none"
          className="stroke-l10"
          strokeWidth="1.5"
        />
        {checks.map((c, i) => (
          <circle
            key={c.id}
            cx={3.2 * at(c)}
            cy={14 + 16 * i}
            r="6"
            className="stroke-l10"
            strokeWidth="1.5"
            style={{ fill: cssGrey(c.lightness) }}
          />
        ))}
      </svg>
      <figcaption className="quiet flex justify-between">
        <span>too light</span>
        <span>
          the walk to {name}, {checks.length} {checks.length === 1 ? 'look' : 'looks'}
        </span>
        <span>too dark</span>
      </figcaption>
    </figure>
  );
}
