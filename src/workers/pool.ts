/** Worker threads for heavy tasks. Cancelling a task, or its running out of time, ends its thread. */
import path from 'node:path';
import { MessageChannel } from 'node:worker_threads';
import { Piscina } from 'piscina';
import { UnusablePicture } from './decoding/decode';
import type { Answers, Outcome, StageMessage, Task } from './protocol';
import type { Stage } from './tasks/measure';

export const TASK_LIMIT_MS = 30_000;
const THREADS = 2;
/** Room for what one photograph leaves behind: with less the collector runs several times in each. */
const YOUNG_MB = 64;

export class TaskTimedOut extends Error {
  override readonly name = 'TaskTimedOut';
}
export class TaskCancelled extends Error {
  override readonly name = 'TaskCancelled';
}

export interface RunOptions {
  readonly signal?: AbortSignal;
  readonly limitMs?: number;
  readonly onStage?: (stage: Stage) => void;
}

export interface WorkerPool {
  run<T extends Task>(task: T, options?: RunOptions): Promise<Answers[T['task']]>;
  close(): Promise<void>;
}

/** A pool over the built worker file. */
export function openPool(
  file = path.resolve(/*turbopackIgnore: true*/ process.cwd(), 'dist/workers/entry.mjs'),
): WorkerPool {
  // Without `atomics: 'disabled'` a thread that has nothing to do blocks its own event loop, and the stages and
  // the closing of the last task's port stay in it until the next task comes.
  const piscina = new Piscina({
    filename: file,
    minThreads: 1,
    maxThreads: THREADS,
    idleTimeout: 60_000,
    atomics: 'disabled',
    resourceLimits: { maxYoungGenerationSizeMb: YOUNG_MB },
  });
  return {
    async run<T extends Task>(task: T, { signal, limitMs = TASK_LIMIT_MS, onStage }: RunOptions = {}) {
      const timeout = AbortSignal.timeout(limitMs);
      const either = signal ? AbortSignal.any([signal, timeout]) : timeout;
      const channel = onStage ? new MessageChannel() : null;
      const closed = channel ? new Promise<void>((resolve) => channel.port1.once('close', resolve)) : null;
      channel?.port1.on('message', (message: StageMessage) => onStage?.(message.stage));
      try {
        const outcome = (await piscina.run(
          { task, port: channel?.port2 ?? null },
          { signal: either, transferList: channel ? [channel.port2] : [] },
        )) as Outcome<Answers[T['task']]>;
        if (outcome.ok) {
          // Stages still on their way are heard before the end is told.
          await closed;
          return outcome.value;
        }
        throw outcome.unusable ? new UnusablePicture(outcome.message) : new Error(outcome.message);
      } catch (error) {
        if (signal?.aborted) throw new TaskCancelled('The measurement was cancelled.');
        if (timeout.aborted) throw new TaskTimedOut(`Nothing came of it in ${limitMs / 1000} seconds.`);
        throw error;
      } finally {
        channel?.port1.close();
      }
    },
    close: () => piscina.destroy(),
  };
}
