/** The gap ladder: rungs as far apart as the measured gaps, the even ladder faint behind. */
import { cssGrey } from '../parts/grey';

interface Props {
  readonly labels: readonly string[];
  readonly lightness: readonly number[];
  readonly flagged: readonly boolean[];
}

const W = 320;
const H = 104;

export function GapLadder({ labels, lightness, flagged }: Props) {
  const high = Math.max(...lightness);
  const low = Math.min(...lightness);
  const x = (l: number) => 14 + ((high - l) / Math.max(1, high - low)) * (W - 28);
  const even = lightness.map((_, i) => 14 + (i / (lightness.length - 1)) * (W - 28));
  return (
    <svg
      className="shrink-0"
      viewBox={`0 0 ${W} ${H}`}
      width="100%"
      role="img"
      aria-label={`Gap ladder: ${
        labels
          .map((l, i) => (flagged[i] ? `gap after ${l} is uneven` : ''))
          .filter(Boolean)
          .join(', ') || 'the gaps are even'
      }`}
    >
      {even.map((at, i) => (
        <path key={i} d={`M${at} 20V${H - 24}`} stroke="var(--color-l70)" strokeWidth={1} strokeDasharray="2 3" />
      ))}
      <path d={`M8 34H${W - 8}M8 ${H - 38}H${W - 8}`} stroke="var(--color-l37)" strokeWidth={1.5} />
      {lightness.map((l, i) => (
        <g key={i}>
          <rect
            x={x(l) - 3}
            y={34}
            width={6}
            height={H - 72}
            fill={cssGrey(l)}
            stroke="var(--color-l10)"
            strokeWidth={0.8}
          />
          <text x={x(l)} y={i % 2 ? H - 8 : H - 22} fontSize={13} textAnchor="middle" fill="var(--color-l10)">
            {labels[i]}
          </text>
          {flagged[i] && i + 1 < lightness.length && (
            <path d={`M${x(l)} 26H${x(lightness[i + 1] ?? l)}`} stroke="var(--color-l10)" strokeWidth={3} />
          )}
        </g>
      ))}
    </svg>
  );
}
