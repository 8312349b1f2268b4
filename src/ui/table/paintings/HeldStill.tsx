'use client';
/** One feature held still, chosen by a press: the reference lies half over the painting so that the two meet there. */
import { besideAnchor } from '@/core/painting/features/anchor';
import { capital, massName, whither } from '@/core/critique/naming';
import type { PaintingResult } from '@/core/painting/result';
import { useState } from 'react';
import { squinted } from '../PaintingView';
import { type Picture, WHOLE } from '../../parts/TwoPictures';

interface Props {
  readonly painting: Picture;
  readonly reference: Picture;
  readonly displacements: PaintingResult['displacements'];
  readonly squint: boolean;
}

const percent = (share: number) => `${100 * share}%`;
const areaOf = ({ box }: Props['displacements'][number]) => box.width * box.height;
const nameOf = (name: string | null) => (name === null ? 'what has no name' : massName(name));

export function HeldStill({ painting, reference, displacements, squint }: Props) {
  const [chosen, setChosen] = useState<string | null>(null);
  const anchor = displacements.find((d) => d.id === chosen) ?? displacements[0];
  if (!anchor)
    return <p className="text-center">No feature is named or stands elsewhere: there is nothing to hold still.</p>;
  const others = besideAnchor(displacements, anchor.id).filter((o) => o.id !== anchor.id);
  // The large ones first: a small one before them can still be pressed.
  const features = [...displacements].sort((a, b) => areaOf(b) - areaOf(a));
  return (
    <div className={WHOLE}>
      <div className="relative overflow-hidden">
        <img {...painting} className="block w-full" style={squinted(squint)} />
        <img
          {...reference}
          className="absolute h-full w-full opacity-50"
          // A margin's percent are of the width, as displacements are; those of `top` would be of the height.
          style={{ ...squinted(squint), left: percent(anchor.dx), top: 0, marginTop: percent(anchor.dy) }}
        />
        {features.map(({ id, name, box, dx, dy }) => (
          <button
            key={id}
            type="button"
            aria-pressed={id === anchor.id}
            aria-label={`Hold still: ${nameOf(name)}`}
            className={`absolute cursor-pointer border-2 bg-transparent ${id === anchor.id ? 'border-solid border-l97' : 'border-dashed border-l20'}`}
            style={{
              left: percent(box.x + dx),
              top: percent(box.y),
              marginTop: percent(dy),
              width: percent(box.width),
              height: percent(box.height),
            }}
            onClick={() => setChosen(id)}
          />
        ))}
      </div>
      <p className="mt-2 font-semibold">{capital(nameOf(anchor.name))} is held still. Beside it:</p>
      <ul className="max-h-28 columns-2 overflow-y-auto">
        {others.map(({ id, name, dx, dy }) => (
          <li key={id}>
            {nameOf(name)}: {whither({ x: dx, y: dy }) || 'in its place'}
          </li>
        ))}
      </ul>
    </div>
  );
}
