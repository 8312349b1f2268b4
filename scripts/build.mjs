// Bundles what runs outside Next: worker threads, the page's workers, the command line, the demo builder, the bench.
import { copyFileSync, existsSync, mkdirSync } from 'node:fs';
import { createRequire } from 'node:module';
import { build } from 'esbuild';

const entries = {
  'workers/entry': 'src/workers/entry.ts',
  'workers/print': 'src/workers/printing/entry.ts',
  cli: 'src/cli/main.ts',
  demo: 'src/demo/main.ts',
  measure: 'src/jobs/measure.ts',
  migrate: 'src/data/migrate.ts',
  move: 'src/data/move/main.ts',
  backup: 'src/data/backup/main.ts',
  ready: 'src/data/ready.ts',
  serve: 'src/app/server/serve.ts',
  render: 'src/demo/render/write.ts',
  bench: 'bench/main.ts',
  'bench-trial': 'bench/trial.ts',
  'bench-painting': 'bench/painting/painting-trial.ts',
  'bench-colours': 'bench/painting/colour-trial.ts',
  'bench-critique': 'bench/critique/critique-trial.ts',
  'bench-form': 'bench/painting/form-trial.ts',
  'bench-states': 'bench/painting/states-trial.ts',
  'bench-dab': 'bench/dab-trial.ts',
  'bench-notan': 'bench/notan-trial.ts',
  'bench-masses': 'bench/mass-trial.ts',
  'bench-speed': 'bench/speed-process.ts',
  'bench-decode': 'bench/decode-worker.ts',
};

/** Before unit tests, unless whoever runs them has just built. */
export default async function unlessBuilt() {
  if (!process.env.FAIR_GREY_BUILT) await buildNode();
}

async function buildNode() {
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
  await buildBrowserWorkers();
}

/** Workers of the page: they fetch OpenCV beside them, which is too large to be bundled into each. */
async function buildBrowserWorkers() {
  mkdirSync('public/workers', { recursive: true });
  copyFileSync(createRequire(import.meta.url).resolve('@techstark/opencv-js'), 'public/workers/opencv.js');
  await build({
    entryPoints: {
      'quick-check': 'src/workers/browser/quick-check.ts',
      'reference-bench': 'src/workers/browser/reference-bench.ts',
      'mass-painting': 'src/workers/browser/mass-painting.ts',
      correction: 'src/workers/browser/correction.ts',
    },
    outdir: 'public/workers',
    bundle: true,
    minify: true,
    platform: 'browser',
    target: 'es2022',
    format: 'iife',
    logLevel: 'error',
  });
}

if (import.meta.url === `file://${process.argv[1]}`) await buildNode();
