/** Unit tests stand beside their files. ESM throughout: the embedded database has no other form. */
process.env.FAIR_GREY_LOG ??= 'silent';

export default {
  testEnvironment: 'node',
  roots: ['<rootDir>/src', '<rootDir>/bench'],
  // Photographs are simulated in worker threads: in Jest's sandbox the camera takes minutes.
  globalSetup: '<rootDir>/scripts/build.mjs',
  testRegex: '[.]test[.]tsx?$',
  // Of a server of its own: jest.server.config.mjs.
  testPathIgnorePatterns: ['/node_modules/', '[.]server[.]test[.]ts$'],
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  transform: { '^.+\\.tsx?$': '<rootDir>/scripts/jest-transform.mjs' },
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1', '^@bench/(.*)$': '<rootDir>/bench/$1' },
  // A limit against hanging only: how long honest work takes is up to the machine.
  testTimeout: 600_000,
  maxWorkers: 2,
};
