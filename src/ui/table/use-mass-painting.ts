'use client';
/** The worker on which masses are painted: asked for the newest state only, so that a hand is followed and never queued. */
import type { MassEdit, SetUpMass } from '@/core/reference/set-up';
import type { MassesShown, MassPainting } from '@/workers/browser/masses-protocol';
import type { Remote } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import { startPictureWorker } from '../parts/picture-worker';

interface Asked {
  readonly edits: readonly MassEdit[];
  readonly masses: readonly SetUpMass[];
  readonly picked: string | null;
}

const FAILED = 'The masses could not be shown here. Nothing was lost; load the page once more.';

export function useMassPainting(
  tones: string,
  asked: Asked,
): {
  readonly canvas: React.RefObject<HTMLCanvasElement | null>;
  readonly shown: MassesShown | null;
  readonly trouble: string;
} {
  const canvas = useRef<HTMLCanvasElement>(null);
  const remote = useRef<Remote<MassPainting> | null>(null);
  const wanted = useRef<Asked | null>(null);
  const busy = useRef(true);
  const [shown, setShown] = useState<MassesShown | null>(null);
  const [trouble, setTrouble] = useState('');

  const next = useCallback(async () => {
    busy.current = true;
    while (remote.current && wanted.current) {
      const { edits, masses, picked } = wanted.current;
      wanted.current = null;
      setShown(await remote.current.show(edits, masses, picked));
    }
    busy.current = false;
  }, []);

  useEffect(() => {
    if (!canvas.current) return;
    const end = startPictureWorker<MassPainting>({
      script: '/workers/mass-painting.js',
      picture: tones,
      canvases: [canvas.current],
      open: (own, picture, [surface], transfer) => (surface ? own.open(picture, transfer(surface)) : Promise.resolve()),
      ready: async (own) => {
        remote.current = own;
        await next();
      },
      failed: () => setTrouble(FAILED),
    });
    return () => {
      remote.current = null;
      end();
    };
  }, [tones, next]);

  const { edits, masses, picked } = asked;
  useEffect(() => {
    wanted.current = { edits, masses, picked };
    if (!busy.current) next().catch(() => setTrouble(FAILED));
  }, [edits, masses, picked, next]);
  return { canvas, shown, trouble };
}
