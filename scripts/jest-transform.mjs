// Compiles a module for Jest. In Jest's sandbox each look at a global goes through an interceptor, which slows
// numerical code twentyfold; so the globals that such code uses are taken into the module once.
import { createTransformer } from '@swc/jest';

const swc = createTransformer({
  jsc: {
    target: 'es2022',
    parser: { syntax: 'typescript', tsx: true },
    transform: { react: { runtime: 'automatic' } },
  },
  module: { type: 'es6' },
});
const GLOBALS = [
  'Math',
  'Number',
  'Array',
  'Float32Array',
  'Float64Array',
  'Uint8Array',
  'Uint8ClampedArray',
  'Uint16Array',
  'Int32Array',
  'Uint32Array',
  'Infinity',
  'NaN',
];

function withGlobals(result) {
  return { ...result, code: `const { ${GLOBALS.map((g) => `${g}: ${g}`).join(', ')} } = globalThis;${result.code}` };
}

export default {
  canInstrument: false,
  getCacheKey: (source, file, options) => `globals-2 ${swc.getCacheKey(source, file, options)}`,
  process: (source, file, options) => withGlobals(swc.process(source, file, { ...options, supportsStaticESM: true })),
  processAsync: async (source, file, options) =>
    withGlobals(await swc.processAsync(source, file, { ...options, supportsStaticESM: true })),
};
