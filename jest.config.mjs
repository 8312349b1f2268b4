/** Unit tests stand beside their files. ESM throughout: the embedded database has no other form. */
export default {
  testEnvironment: 'node',
  roots: ['<rootDir>/src'],
  testRegex: '[.]test[.]tsx?$',
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  transform: {
    '^.+\\.tsx?$': ['@swc/jest', { jsc: { target: 'es2022', parser: { syntax: 'typescript', tsx: true } }, module: { type: 'es6' } }],
  },
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1', '^@bench/(.*)$': '<rootDir>/bench/$1' },
  testTimeout: 60_000,
  maxWorkers: 2,
};
