'use client';
/** The worker on which masses are painted. */
import type { MassEdit, SetUpMass } from '@/core/reference/set-up';
import type { MassesShown, MassPainting } from '@/workers/browser/masses-protocol';
import { useMemo } from 'react';
import { type PictureWorked, usePictureWorker } from '../parts/use-picture-worker';

interface Asked {
  readonly edits: readonly MassEdit[];
  readonly masses: readonly SetUpMass[];
  readonly picked: string | null;
}

export function useMassPainting(tones: string, { edits, masses, picked }: Asked): PictureWorked<MassesShown> {
  return usePictureWorker<MassPainting, Asked, MassesShown>({
    script: '/workers/mass-painting.js',
    picture: tones,
    asked: useMemo(() => ({ edits, masses, picked }), [edits, masses, picked]),
    open: (own, picture, canvas, transfer) => own.open(picture, transfer(canvas)),
    show: (own, asked) => own.show(asked.edits, asked.masses, asked.picked),
    failed: 'The masses could not be shown here. Nothing was lost; load the page once more.',
  });
}
