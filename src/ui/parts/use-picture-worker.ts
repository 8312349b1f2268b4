'use client';
/** A worker that draws on canvases of the page: asked for the newest state only, so that a hand is followed and never queued. */
import type { Remote } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import { startPictureWorker } from './picture-worker';

interface Worked<T, Asked, Shown> {
  readonly script: string;
  /** Where the picture is. */
  readonly picture: string;
  readonly asked: Asked;
  readonly open: (
    own: Remote<T>,
    picture: Blob,
    canvas: OffscreenCanvas,
    transfer: (canvas: OffscreenCanvas) => OffscreenCanvas,
  ) => Promise<void>;
  /** Shows the state that is asked for. */
  readonly show: (own: Remote<T>, asked: Asked) => Promise<Shown>;
  /** What is told where it could not be shown. */
  readonly failed: string;
}

export interface PictureWorked<Shown> {
  readonly canvas: React.RefObject<HTMLCanvasElement | null>;
  readonly shown: Shown | null;
  readonly trouble: string;
}

/** `asked` is to stay the same object as long as it says the same. */
export function usePictureWorker<T, Asked, Shown>(work: Worked<T, Asked, Shown>): PictureWorked<Shown> {
  const { script, picture, asked, failed } = work;
  const canvas = useRef<HTMLCanvasElement>(null);
  const remote = useRef<Remote<T> | null>(null);
  const wanted = useRef<Asked | null>(null);
  const busy = useRef(true);
  const latest = useRef(work);
  const [shown, setShown] = useState<Shown | null>(null);
  const [trouble, setTrouble] = useState('');
  useEffect(() => {
    latest.current = work;
  });

  const next = useCallback(async () => {
    busy.current = true;
    while (remote.current && wanted.current) {
      const newest = wanted.current;
      wanted.current = null;
      setShown(await latest.current.show(remote.current, newest));
    }
    busy.current = false;
  }, []);

  useEffect(() => {
    if (!canvas.current) return;
    const end = startPictureWorker<T>({
      script,
      picture,
      canvases: [canvas.current],
      open: (own, blob, [surface], transfer) =>
        surface ? latest.current.open(own, blob, surface, transfer) : Promise.resolve(),
      ready: async (own) => {
        remote.current = own;
        await next();
      },
      failed: () => setTrouble(failed),
    });
    return () => {
      remote.current = null;
      busy.current = true;
      end();
    };
  }, [script, picture, next, failed]);

  useEffect(() => {
    wanted.current = asked;
    if (!busy.current) next().catch(() => setTrouble(failed));
  }, [asked, next, failed]);
  return { canvas, shown, trouble };
}
