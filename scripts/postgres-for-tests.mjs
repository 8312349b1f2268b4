// Before tests of what touches data: a server for them, and what unit tests are built of.
import unlessBuilt from './build.mjs';
import { startPostgres } from './postgres.mjs';

export default async function start() {
  await unlessBuilt();
  const server = await startPostgres();
  process.env.FAIR_GREY_TEST_SERVER = server.url;
  globalThis.fairGreyPostgres = server;
}
