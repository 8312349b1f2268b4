/** A straightened painting, without a frame that was painted round it, or in its tones: so that it lies on its reference place by place. */
import type { NotanResult } from '@/core/notan/result';

interface Props {
  readonly attemptId: string;
  readonly hasStrip: boolean;
  readonly frame: NotanResult['frame'];
  readonly tones: boolean;
  readonly squint: boolean;
  readonly alt: string;
}

/** Squinting fuses light, not codes: the blur works on linear values. */
export const SquintFilter = () => (
  <svg width={0} height={0} aria-hidden className="absolute">
    <filter id="squint" colorInterpolationFilters="linearRGB" x="0" y="0" width="1" height="1">
      <feGaussianBlur stdDeviation="9" edgeMode="duplicate" />
    </filter>
  </svg>
);
export const squinted = (squint: boolean) => (squint ? { filter: 'url(#squint)' } : undefined);

export function PaintingView({ attemptId, hasStrip, frame, tones, squint, alt }: Props) {
  if (tones)
    return <img src={`/tones/${attemptId}/drawn`} alt={alt} className="block w-full" style={squinted(squint)} />;
  if (!hasStrip)
    return (
      <div className="flex aspect-[6/5] items-center justify-center bg-l70">
        The straightened picture is being made …
      </div>
    );
  const inside = frame?.inside ?? { x: 0, y: 0, width: 1, height: 1 };
  const cut = {
    maxWidth: 'none',
    width: `${100 / inside.width}%`,
    height: `${100 / inside.height}%`,
    transform: `translate(${-100 * inside.x}%, ${-100 * inside.y}%)`,
  };
  // The tones lie under it unseen: it is shown in their proportions, as it was compared, whatever its corners made of it.
  return (
    <div className="relative overflow-hidden">
      <img
        src={`/picture/${attemptId}/strip`}
        alt={alt}
        className="absolute left-0 top-0 block"
        style={{ ...cut, ...squinted(squint) }}
      />
      <img src={`/tones/${attemptId}/drawn`} alt="" aria-hidden className="invisible block w-full" />
    </div>
  );
}
