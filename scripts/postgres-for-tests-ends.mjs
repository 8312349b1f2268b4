// After tests of what touches data.
export default async function end() {
  await globalThis.fairGreyPostgres?.stop();
}
