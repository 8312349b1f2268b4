/** Threads of their own for sheets: they neither stop the server nor wait behind what is being measured. */
import path from 'node:path';
import { MessageChannel } from 'node:worker_threads';
import { Piscina } from 'piscina';
import type { PrintJob } from './job';

const LIMIT_MS = 60_000;
/** A sheet that somebody looks at does not wait for a class's. */
const THREADS = 2;

export interface Printer {
  /** The PDF as it comes; ready when its first piece is there. Throws where nothing comes of it. */
  print(job: PrintJob): Promise<ReadableStream<Uint8Array>>;
  /** The first page as SVG, to look at; null of a job without pages. */
  picture(job: PrintJob): Promise<string | null>;
  close(): Promise<void>;
}

/** A printer over the built worker file. */
export function openPrinter(
  file = path.resolve(/*turbopackIgnore: true*/ process.cwd(), 'dist/workers/print.mjs'),
): Printer {
  const piscina = new Piscina({
    filename: file,
    minThreads: 0,
    maxThreads: THREADS,
    idleTimeout: 300_000,
    atomics: 'disabled',
  });
  return {
    async print(job) {
      const { port1, port2 } = new MessageChannel();
      const abort = AbortSignal.timeout(LIMIT_MS);
      const ended = piscina.run({ job, port: port2 }, { transferList: [port2], signal: abort }) as Promise<void>;
      const closed = new Promise<void>((resolve) => port1.once('close', resolve));
      let begun: () => void = () => undefined;
      const first = new Promise<void>((resolve) => (begun = resolve));
      const stream = new ReadableStream<Uint8Array>({
        start(controller) {
          port1.on('message', (piece: Uint8Array) => {
            controller.enqueue(piece);
            begun();
          });
          ended.then(
            // Pieces still on their way are heard before the end is told.
            () => closed.then(() => controller.close()),
            (error: unknown) => {
              port1.close();
              controller.error(error);
            },
          );
        },
      });
      await Promise.race([first, ended]);
      return stream;
    },
    picture: (job) =>
      piscina.run({ job, port: null }, { signal: AbortSignal.timeout(LIMIT_MS) }) as Promise<string | null>,
    close: () => piscina.destroy(),
  };
}
