// Builds and runs the bench; options go through to it.
import buildNode from './build.mjs';
import { installPackages } from './provision.mjs';

installPackages();
await buildNode();
await import('../dist/bench.mjs');
