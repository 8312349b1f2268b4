/** Processes that are started again whenever they end, as a supervisor does, and killed as the power does. */
import { type ChildProcess, spawn } from 'node:child_process';
import { once } from 'node:events';

/** So long after its end one is started again. */
const AGAIN_MS = 300;

export interface Kept {
  readonly name: string;
  /** Ends it at once, with nothing told to it; it comes again. False where it had ended already. */
  kill(): boolean;
  /** How often it ended by itself or was killed. */
  ends(): number;
  /** Ends it for good. */
  stop(): Promise<void>;
}

export function keepRunning(name: string, command: string, args: readonly string[], env: NodeJS.ProcessEnv): Kept {
  let wanted = true;
  let ended = 0;
  let child: ChildProcess;
  const start = () => {
    child = spawn(command, args, {
      stdio: ['ignore', 'ignore', process.env['FAIR_GREY_SHOW'] ? 'inherit' : 'ignore'],
      env,
    });
    child.once('exit', () => {
      if (!wanted) return;
      ended++;
      setTimeout(start, AGAIN_MS);
    });
  };
  start();
  return {
    name,
    kill: () => child.kill('SIGKILL'),
    ends: () => ended,
    async stop() {
      wanted = false;
      if (child.exitCode !== null || child.signalCode !== null) return;
      child.kill('SIGTERM');
      await once(child, 'exit');
    },
  };
}

/** Waits until something is so. Throws with what was waited for where it never is. */
export async function until(what: string, isSo: () => Promise<boolean>, ms: number): Promise<number> {
  const start = performance.now();
  while (!(await isSo().catch(() => false))) {
    if (performance.now() - start > ms) throw new Error(`In vain waited for: ${what}.`);
    await new Promise((done) => setTimeout(done, 200));
  }
  return performance.now() - start;
}
