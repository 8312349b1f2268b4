'use client';
/** A painting from life in all its values, and where the masses of its set-up lie on it. */
import type { Finding } from '@/core/critique/finding';
import type { MassEdit } from '@/core/reference/set-up';
import type { ComponentProps } from 'react';
import { LifePictures } from '../LifePictures';
import { squinted } from '../PaintingView';
import { RegionOutlines } from '../RegionOutlines';

type Life = ComponentProps<typeof LifePictures>;

interface Props extends Pick<Life, 'setUp' | 'judged' | 'frozen' | 'busy'> {
  readonly attemptId: string;
  readonly hasStrip: boolean;
  readonly painted: readonly MassEdit[];
  readonly squint: boolean;
  /** The paint as it is, straightened, in place of its greys. */
  readonly paint: boolean;
  readonly box: Finding['where']['box'];
  readonly judge: (edits: readonly MassEdit[]) => void;
}

const STILL = { x: 0, y: 0 };
const nothing = () => undefined;

export function PaintedFromLife({ attemptId, hasStrip, squint, paint, box, ...life }: Props) {
  const inPaint = paint && hasStrip;
  return (
    <LifePictures
      {...life}
      picture={
        <img
          src={inPaint ? `/picture/${attemptId}/strip` : `/laid/${attemptId}/drawn`}
          alt={inPaint ? 'The painting as it is, straightened' : 'The painting in greys'}
          className="block w-full"
          style={squinted(squint)}
        />
      }
      greys={`/laid/${attemptId}/masses`}
      outlines={!squint && <RegionOutlines regions={[]} shift={STILL} lit={null} box={box} onPick={nothing} />}
    />
  );
}
