/** How long each stage of a measurement takes: a stage lasts until the next begins. */
import { meters } from './meters';

export interface StageClock {
  begin(stage: string): void;
  /** Ends the last stage. */
  end(): void;
}

export function stageClock(now: () => number = () => performance.now()): StageClock {
  let running: { stage: string; since: number } | null = null;
  const endAt = (at: number) => {
    if (running) meters.stages.observe({ stage: running.stage }, (at - running.since) / 1000);
    running = null;
  };
  return {
    begin(stage) {
      const at = now();
      endAt(at);
      running = { stage, since: at };
    },
    end: () => endAt(now()),
  };
}
