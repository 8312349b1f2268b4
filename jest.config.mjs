/**
 * Unit tests stand beside their files. They run in plain Node, which takes TypeScript by "--import tsx": Jest's own sandbox loads
 * every module anew for each file, and makes numerical code twenty times as slow. So files of one process share its modules.
 */
process.env.FAIR_GREY_LOG ??= 'silent';

export default {
  runner: ['jest-light-runner', { runtime: 'child_process' }],
  roots: ['<rootDir>/src', '<rootDir>/bench'],
  // Photographs are simulated in worker threads, by the program as it is built.
  globalSetup: '<rootDir>/scripts/build.mjs',
  testRegex: '[.]test[.]tsx?$',
  // Of a server of its own: jest.server.config.mjs.
  testPathIgnorePatterns: ['/node_modules/', '[.]server[.]test[.]ts$'],
  transform: {},
  // A limit against hanging only: how long honest work takes is up to the machine.
  testTimeout: 600_000,
  maxWorkers: 2,
  // The house that the files of a process share stays open until its end.
  forceExit: true,
};
