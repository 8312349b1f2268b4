// Builds and runs the bench; options go through to it.
import { installDebian, installPackages, run } from './provision.mjs';

installPackages();
installDebian({ chromium: 'chromium' });
run('npm', ['run', '--silent', 'build']);
await import('../dist/bench.mjs');
