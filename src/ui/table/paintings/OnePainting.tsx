/** A painting that there is nothing to look at beside. */
import type { Finding } from '@/core/critique/finding';
import type { ReactNode } from 'react';
import { squinted, SquintFilter } from '../PaintingView';
import { RegionOutlines } from '../RegionOutlines';
import { WHOLE } from '../../parts/TwoPictures';

interface Props {
  readonly attemptId: string;
  readonly hasStrip: boolean;
  readonly squint: boolean;
  /** The paint as it is, straightened, in place of its greys. */
  readonly paint: boolean;
  readonly box: Finding['where']['box'];
  /** Below the picture. */
  readonly children?: ReactNode;
}

/** As wide as the picture may be with something to choose from below it. */
const ABOVE = 'mx-auto w-full max-w-[max(16rem,calc((100vh-36rem)*1.25))]';
const STILL = { x: 0, y: 0 };
const nothing = () => undefined;

export function OnePainting({ attemptId, hasStrip, squint, paint, box, children }: Props) {
  const inPaint = paint && hasStrip;
  return (
    <div className="flex min-h-0 flex-1 flex-col justify-center gap-3 overflow-y-auto p-3">
      <SquintFilter />
      <figure className={`relative m-0 ${children ? ABOVE : WHOLE}`}>
        <img
          src={inPaint ? `/picture/${attemptId}/strip` : `/laid/${attemptId}/drawn`}
          alt={inPaint ? 'The painting as it is, straightened' : 'The painting in greys'}
          className="block w-full"
          style={squinted(squint)}
        />
        {!squint && <RegionOutlines regions={[]} shift={STILL} lit={null} box={box} onPick={nothing} />}
      </figure>
      {children}
    </div>
  );
}
