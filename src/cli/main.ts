/** The `fair-grey` command: one JSON document on standard output, everything else on standard error. */
import { BadArguments } from './arguments';

type Verb = (args: readonly string[]) => Promise<unknown>;

/** Loaded when asked for: what reads photographs takes a while to load. */
const VERBS: Record<string, () => Promise<Verb>> = {
  worksheet: async () => (await import('./worksheet')).worksheet,
  brackets: async () => (await import('./brackets')).brackets,
  card: async () => (await import('./card')).card,
  measure: async () => (await import('./measure')).measure,
  prepare: async () => (await import('./prepare')).prepare,
  mix: async () => (await import('./mix')).mix,
  simulate: async () => (await import('./simulate')).simulate,
};

const [verb = '', ...rest] = process.argv.slice(2);
const known = Object.keys(VERBS).join(', ');
try {
  const load = VERBS[verb];
  if (!load) throw new BadArguments(`Give one of ${known}; got "${verb}".`);
  const result = await (await load())(rest);
  if (rest.includes('--json')) process.stdout.write(`${JSON.stringify(result)}\n`);
} catch (error) {
  if (error instanceof BadArguments) {
    process.stderr.write(`fair-grey: ${error.message}\n`);
    process.exit(2);
  }
  process.stderr.write(`fair-grey: our fault, not yours: ${error instanceof Error ? error.stack : String(error)}\n`);
  process.exit(1);
}
process.exit(0);
