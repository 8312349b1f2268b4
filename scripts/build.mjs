// Bundles what runs outside Next: worker threads, the command line, the demo builder, the bench.
import { existsSync } from 'node:fs';
import { build } from 'esbuild';

const entries = {
  'workers/entry': 'src/workers/entry.ts',
  cli: 'src/cli/main.ts',
  demo: 'src/demo/main.ts',
  bench: 'bench/main.ts',
  'bench-trial': 'bench/trial.ts',
  'bench-dab': 'bench/dab-trial.ts',
  'bench-speed': 'bench/speed-process.ts',
  'e2e/run': 'e2e/run.ts',
};

export default async function buildNode() {
  await build({
    entryPoints: Object.fromEntries(Object.entries(entries).filter(([, file]) => existsSync(file))),
    outdir: 'dist',
    outExtension: { '.js': '.mjs' },
    bundle: true,
    splitting: true,
    platform: 'node',
    target: 'node20',
    format: 'esm',
    packages: 'external',
    logLevel: 'error',
  });
}

if (import.meta.url === `file://${process.argv[1]}`) await buildNode();
