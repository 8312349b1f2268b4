/** The `fair-grey` command: one JSON document on standard output, everything else on standard error. */
import { BadArguments } from './arguments';
import { brackets } from './brackets';
import { measure } from './measure';
import { mix } from './mix';
import { simulate } from './simulate';
import { worksheet } from './worksheet';

const VERBS: Record<string, (args: readonly string[]) => Promise<unknown>> = { worksheet, brackets, measure, mix, simulate };

const [verb = '', ...rest] = process.argv.slice(2);
const known = Object.keys(VERBS).join(', ');
try {
  const run = VERBS[verb];
  if (!run) throw new BadArguments(`Give one of ${known}; got "${verb}".`);
  const result = await run(rest);
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
