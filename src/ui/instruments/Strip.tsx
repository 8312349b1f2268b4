/** A hand-in at a glance: its cells in their measured greys, and under each a mark that shows how it sits. */
import { cssGrey } from '../parts/grey';

export interface StripCell {
  readonly label: string;
  readonly lightness: number;
  readonly target: number;
  readonly errorSteps: number;
  readonly flags: readonly string[];
  /** Flags of the gap to the next cell. */
  readonly gapFlags: readonly string[];
}

/** Shapes under the cells: where the reading stands against its target, and what is the matter. */
function Mark({ cell, x, y, w, end }: { cell: StripCell; x: number; y: number; w: number; end: number }) {
  const middle = x + w / 2;
  const shift = Math.max(-1, Math.min(1, cell.errorSteps)) * w * 0.38;
  const at = Math.min(end - 5, Math.max(5, middle + shift));
  const off = cell.flags.includes('off_target');
  return (
    <g stroke="var(--color-l10)" strokeWidth={1.3} fill="none">
      <path d={`M${middle} ${y}v3`} />
      {off ? (
        <path d={`M${at - 3.5} ${y + 9}l3.5 -5l3.5 5z`} fill="var(--color-l10)" />
      ) : (
        <path d={`M${at} ${y + 4}v6`} />
      )}
      {cell.flags.includes('streaky') && <path d={`M${middle - 5} ${y + 13}q2.5 -3 5 0t5 0`} />}
      {cell.flags.includes('bare_ground') && <circle cx={middle} cy={y + 13} r={2.4} />}
      {cell.flags.includes('over_the_line') && <path d={`M${middle - 7} ${y + 15}v-4h14v4`} />}
      {cell.gapFlags.includes('too_close') && <path d={`M${x + w - 1.5} ${y + 1}v9M${x + w + 2.5} ${y + 1}v9`} />}
      {cell.gapFlags.includes('reversed') && <path d={`M${x + w - 4} ${y + 1}l9 9m0 -9l-9 9`} />}
      {cell.gapFlags.includes('too_wide') && <path d={`M${x + w - 5} ${y + 6}h11`} />}
    </g>
  );
}

function describe(cells: readonly StripCell[]): string {
  return cells
    .map((c) => {
      const off = `${Math.abs(c.errorSteps).toFixed(1)} steps too ${c.errorSteps > 0 ? 'light' : 'dark'}`;
      return `${c.label}: ${Math.abs(c.errorSteps) < 0.25 ? 'on its value' : off}`;
    })
    .join('; ');
}

export function Strip({
  cells,
  width = 176,
  height = 34,
}: {
  cells: readonly StripCell[];
  width?: number;
  height?: number;
}) {
  const w = width / cells.length;
  return (
    <svg
      viewBox={`0 0 ${width} ${height + 18}`}
      width="100%"
      role="img"
      aria-label={`Measured strip. ${describe(cells)}`}
    >
      {cells.map((c, i) => (
        <g key={c.label + String(i)}>
          <rect x={i * w} y={0} width={w + 0.3} height={height} fill={cssGrey(c.lightness)} />
          <path d={`M${i * w + w / 2 - 4} ${height}l4 -6l4 6z`} fill={cssGrey(c.target)} />
          <Mark cell={c} x={i * w} y={height + 2} w={w} end={width} />
        </g>
      ))}
    </svg>
  );
}
