'use client';
/** The worker on which a picture is prepared: it is asked for the newest state only, so that a finger is followed and never queued. */
import type { BenchAnswer, BenchRequest, ReferenceBench } from '@/workers/browser/bench-protocol';
import type { Remote } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import { startPictureWorker } from '../parts/picture-worker';

export interface Bench {
  readonly answer: BenchAnswer | null;
  /** Why nothing can be shown; empty where it can. */
  readonly trouble: string;
  /** How many views were shown so far. */
  readonly frames: number;
  readonly show: (request: BenchRequest) => void;
  readonly shapeAt: (x: number, y: number) => Promise<number>;
  readonly left: React.RefObject<HTMLCanvasElement | null>;
  readonly right: React.RefObject<HTMLCanvasElement | null>;
}

/** Facts and shapes are worked out once the hand has rested so long. */
const REST_MS = 350;
const FAILED = 'The picture could not be opened here. Nothing was lost; load the page once more.';

export function useReferenceBench(picture: string): Bench {
  const left = useRef<HTMLCanvasElement>(null);
  const right = useRef<HTMLCanvasElement>(null);
  const remote = useRef<Remote<ReferenceBench> | null>(null);
  const asked = useRef<BenchRequest | null>(null);
  const busy = useRef(true);
  const later = useRef<ReturnType<typeof setTimeout> | null>(null);
  const [answer, setAnswer] = useState<BenchAnswer | null>(null);
  const [frames, setFrames] = useState(0);
  const [trouble, setTrouble] = useState('');

  const next = useCallback(async () => {
    const own = remote.current;
    while (own && asked.current) {
      const request = asked.current;
      asked.current = null;
      const told = await own.show(request);
      // Facts and shapes stay until the ones that follow are known.
      setAnswer((before) =>
        request.details || !before ? told : { ...told, facts: before.facts, lit: before.lit, shapes: before.shapes },
      );
      setFrames((n) => n + 1);
    }
    busy.current = false;
  }, []);

  useEffect(() => {
    if (!left.current || !right.current) return;
    const end = startPictureWorker<ReferenceBench>({
      script: '/workers/reference-bench.js',
      picture,
      canvases: [left.current, right.current],
      open: (own, blob, [a, b], transfer) => (a && b ? own.open(blob, transfer(a), transfer(b)) : Promise.resolve()),
      ready: async (own) => {
        remote.current = own;
        await next();
      },
      failed: () => setTrouble(FAILED),
    });
    return () => {
      remote.current = null;
      if (later.current) clearTimeout(later.current);
      end();
    };
  }, [picture, next]);

  const show = useCallback(
    function show(request: BenchRequest): void {
      asked.current = request;
      if (later.current) clearTimeout(later.current);
      later.current =
        request.moving || request.details ? null : setTimeout(() => show({ ...request, details: true }), REST_MS);
      if (busy.current) return;
      busy.current = true;
      next().catch(() => setTrouble(FAILED));
    },
    [next],
  );
  const shapeAt = useCallback((x: number, y: number) => remote.current?.shapeAt(x, y) ?? Promise.resolve(-1), []);
  return { answer, trouble, frames, show, shapeAt, left, right };
}
