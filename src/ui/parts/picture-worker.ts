/** Starts a worker of the page and hands it a picture and the canvases that it draws on, for good. */
import { type Remote, wrap } from 'comlink';

interface Start<T> {
  readonly script: string;
  /** Where the picture is. */
  readonly picture: string;
  readonly canvases: readonly HTMLCanvasElement[];
  readonly open: (
    own: Remote<T>,
    picture: Blob,
    canvases: OffscreenCanvas[],
    transfer: (canvas: OffscreenCanvas) => OffscreenCanvas,
  ) => Promise<void>;
  readonly ready: (own: Remote<T>) => Promise<void>;
  readonly failed: () => void;
}

/** Returns how it is ended. */
export function startPictureWorker<T>({ script, picture, canvases, open, ready, failed }: Start<T>): () => void {
  const worker = new Worker(script);
  const own = wrap<T>(worker);
  const surfaces = canvases.map((canvas) => canvas.transferControlToOffscreen());
  let gone = false;
  void (async () => {
    try {
      const answer = await fetch(picture);
      if (!answer.ok) throw new Error(`The picture is not there: ${answer.status}.`);
      const blob = await answer.blob();
      const { transfer } = await import('comlink');
      if (gone) return;
      await open(own, blob, surfaces, (canvas) => transfer(canvas, [canvas]));
      if (!gone) await ready(own);
    } catch {
      if (!gone) failed();
    }
  })();
  return () => {
    gone = true;
    worker.terminate();
  };
}
