/** What touches data, on a PostgreSQL server of its own: the same tests as on the embedded database. */
import base from './jest.config.mjs';

/** What is about the embedded database itself, or about no database at all. */
const EMBEDDED = '/(database/(database|lock)|critique/stored-world|studio/forgetting)[.]test[.]ts$';
const NO_ROWS = '/(files/[^/]+|hand-in/(unzip|live)|studio/words)[.]test[.]ts$';

export default {
  ...base,
  globalSetup: '<rootDir>/scripts/postgres-for-tests.mjs',
  globalTeardown: '<rootDir>/scripts/postgres-for-tests-ends.mjs',
  testPathIgnorePatterns: ['/node_modules/', EMBEDDED, NO_ROWS],
  roots: ['<rootDir>/src/data', '<rootDir>/src/studio'],
};
