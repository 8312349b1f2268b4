/** What touches data, on a PostgreSQL server of its own: the same tests as on the embedded database. */
import base from './jest.config.mjs';

export default {
  ...base,
  globalSetup: '<rootDir>/scripts/postgres-for-tests.mjs',
  globalTeardown: '<rootDir>/scripts/postgres-for-tests-ends.mjs',
  testPathIgnorePatterns: ['/node_modules/'],
  roots: ['<rootDir>/src/data', '<rootDir>/src/studio'],
};
