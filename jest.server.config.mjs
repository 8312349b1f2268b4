/** What touches data, on a PostgreSQL server of its own: the same tests as on the embedded database. */
import base from './jest.config.mjs';

/** What is about the embedded database itself, about no database at all, or for the most part about pictures. */
const EMBEDDED =
  '/(database/(database|lock)|critique/stored-world|views/record|studio/(forgetting|backup))[.]test[.]ts$';
const NO_ROWS = '/(files/[^/]+|hand-in/(unzip|live)|studio/words)[.]test[.]ts$';

const PICTURES = '/(reference/references|views/(beside|rescue-offers)|hand-in/(painting|notan)-hand-ins)[.]test[.]ts$';

/** Plain rows, read and written one by one: of these a server has nothing of its own to say. */
const PLAIN = '/(plan/(exercises|planning|made-up-kind)|mixing/palettes|class/cards|reference/set-ups)[.]test[.]ts$';

export default {
  ...base,
  globalSetup: '<rootDir>/scripts/postgres-for-tests.mjs',
  globalTeardown: '<rootDir>/scripts/postgres-for-tests-ends.mjs',
  testPathIgnorePatterns: ['/node_modules/', EMBEDDED, NO_ROWS, PICTURES, PLAIN],
  roots: ['<rootDir>/src/data', '<rootDir>/src/studio'],
};
