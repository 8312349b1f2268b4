/** Fills the demo's folder with the sample world, once; prints who can sign in. */
import { isNewHouse } from '@/studio/class/people';
import { openHouse } from '@/studio/house';
import { existsSync } from 'node:fs';
import path from 'node:path';
import { buildSampleWorld } from './build';
import { PILE_FILE } from './pile';
import { ASSISTANT, CLASS, COLLEAGUE, STUDENTS, TEACHER } from './world';

const started = Date.now();
const house = await openHouse();
try {
  if (await isNewHouse(house)) {
    await buildSampleWorld(house, (line) => console.log(`  ${line}`));
    console.log(`Sample world made in ${Math.round((Date.now() - started) / 1000)} s.`);
  }
} finally {
  await house.close();
}
console.log(`
Teacher   ${TEACHER.email}   ${TEACHER.password}
          ${COLLEAGUE.email}    ${COLLEAGUE.password}
Assistant ${ASSISTANT.email}    ${ASSISTANT.password}
Students  class code ${CLASS.code}, and their own code:`);
for (const s of STUDENTS) console.log(`          ${s.code}   ${s.name}`);
if (existsSync(path.join(house.settings.folder, PILE_FILE)))
  console.log(
    `\nA pile of fourteen photographs to drop on the Rack: ${path.relative(process.cwd(), path.join(house.settings.folder, PILE_FILE))}`,
  );
process.exit(0);
