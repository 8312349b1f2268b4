/** The `fair-grey` command: one JSON document on standard output, everything else on standard error. */
import { BadArguments } from './arguments';
import { help, HELPED_VERBS, helpOf } from './help';

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

/** Verbs whose help is asked for: all of them, those of one word, or one. */
function asked(args: readonly string[]): string {
  const words = args.filter((a) => !a.startsWith('-'));
  const one = HELPED_VERBS.find((v) => v === words.slice(0, 2).join(' ') || v === words[0]);
  const several = HELPED_VERBS.filter((v) => v.split(' ')[0] === words[0]);
  return one ? helpOf(one) : several.length > 0 ? several.map(helpOf).join('\n\n') : help();
}

const [verb = '', ...rest] = process.argv.slice(2);
const known = Object.keys(VERBS).join(', ');
if (process.argv.includes('--help') || verb === 'help') {
  process.stdout.write(`${asked(process.argv.slice(2))}\n`);
  process.exit(0);
}
try {
  const load = VERBS[verb];
  if (!load) throw new BadArguments(`Give one of ${known}; got "${verb}". --help explains them.`);
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
