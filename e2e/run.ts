/** Drives the built application in Debian's Chromium. Writes how many checks passed and failed. */
import { writeFileSync } from 'node:fs';
import { access } from './access';
import { badInput } from './bad-input';
import { capture } from './capture';
import { fromLife } from './from-life';
import { desk, enrol, openHarness, phone } from './harness';
import { mixing } from './mixing';
import { planning } from './planning';
import { references } from './references';
import { wholeWay } from './whole-way';

const harness = await openHarness();
try {
  const page = await desk(harness.browser);
  const bea = await phone(harness.browser);
  const exerciseId = await wholeWay(harness, page, bea);
  const ruta = await phone(harness.browser);
  await enrol(page, ruta, 'Ruta Vane');
  await mixing(harness, page, ruta, exerciseId);
  await capture(harness, page, ruta, 'Ruta Vane', exerciseId);
  await references(harness, page, ruta);
  await fromLife(harness, page, ruta);
  await planning(harness, page, bea);
  await access(harness, page, bea, exerciseId);
  await badInput(harness, page, await phone(harness.browser), exerciseId);
} catch (error) {
  harness.tally.failed++;
  console.log('FAILED  outside a check\n', error);
} finally {
  await harness.close();
}
const report = process.argv[2];
if (report) writeFileSync(report, JSON.stringify(harness.tally));
process.exit(harness.tally.failed === 0 ? 0 : 1);
