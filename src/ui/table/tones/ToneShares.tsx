/** Shares of the tones, as a bar of their greys. */
import { cssGrey } from '../../parts/grey';

interface Props {
  readonly name: string;
  readonly shares: readonly number[];
  readonly greys: readonly number[];
  readonly labels: readonly string[];
}

const percent = (v: number) => `${Math.round(100 * v)} %`;

export function ToneShares({ name, shares, greys, labels }: Props) {
  return (
    <div className="grid grid-cols-[5rem_1fr] items-center gap-2">
      <span className="text-13">{name}</span>
      <div
        className="flex h-9"
        role="img"
        aria-label={`${name}: ${shares.map((s, k) => `${labels[k]} ${percent(s)}`).join(', ')}`}
      >
        {shares.map((s, k) => (
          <span
            key={k}
            className="flex items-center justify-center overflow-hidden text-13"
            style={{
              width: `${100 * s}%`,
              background: cssGrey(greys[k] ?? 50),
              color: (greys[k] ?? 50) > 55 ? '#1b1b1b' : '#f6f6f6',
            }}
          >
            {s > 0.06 && `${labels[k]}: ${percent(s)}`}
          </span>
        ))}
      </div>
    </div>
  );
}
