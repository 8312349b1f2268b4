/** What packages print by themselves goes to the log like all else: an error without what a database was asked about. */
import { log } from './log';

const LONGEST = 200;

function tell(level: 'error' | 'warn', said: readonly unknown[]): void {
  const err = said.find((part) => part instanceof Error);
  // Beside an error its text says the same once more, and more than it may.
  const text = said.filter((part) => typeof part === 'string').join(' ');
  if (err) log[level]({ err }, 'said aside');
  else log[level](text.slice(0, LONGEST));
}

/** From now on; what is told to whoever starts it comes before. */
export function logWhatIsSaidAside(): void {
  console.error = (...said: unknown[]) => tell('error', said);
  console.warn = (...said: unknown[]) => tell('warn', said);
}
