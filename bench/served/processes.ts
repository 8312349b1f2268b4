/** Processes that are started again whenever they end, as a supervisor does, and killed as the power does. */
import { type ChildProcess, spawn } from 'node:child_process';
import { once } from 'node:events';
import { readFileSync } from 'node:fs';

/** So long after its end one is started again. */
const AGAIN_MS = 300;

export interface Kept {
  readonly name: string;
  /** Ends it at once, with nothing told to it; it comes again. False where it had ended already. */
  kill(): boolean;
  /** How often it ended by itself or was killed. */
  ends(): number;
  /** Processor time that it has used since it was last started, seconds. */
  usedSeconds(): number;
  /** The most memory that it has had since then, megabytes. */
  peakMegabytes(): number;
  /** Ends it for good. */
  stop(): Promise<void>;
}

/** Ticks of the clock by which Linux counts processor time. */
const TICKS_A_SECOND = 100;

function usedBy(pid: number | undefined): number {
  // The name in brackets may hold spaces: what is counted from its end does not change.
  const fields =
    readFileSync(`/proc/${pid ?? 'self'}/stat`, 'utf8')
      .split(') ')
      .at(-1)
      ?.split(' ') ?? [];
  const [user, system] = [Number(fields[11]), Number(fields[12])];
  return (user + system) / TICKS_A_SECOND;
}

function peakOf(pid: number | undefined): number {
  const kilobytes = /VmHWM:\s+(\d+)/.exec(readFileSync(`/proc/${pid ?? 'self'}/status`, 'utf8'))?.[1];
  return Number(kilobytes) / 1024;
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
    usedSeconds: () => usedBy(child.pid),
    peakMegabytes: () => peakOf(child.pid),
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
