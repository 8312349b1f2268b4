/** Fills the demo's folder with the sample world, once; prints who can sign in. */
import { openHouse } from '@/studio/house';
import { isNewHouse } from '@/studio/people';
import { buildSampleWorld } from './build';
import { CLASS, STUDENTS, TEACHER } from './world';

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
Students  class code ${CLASS.code}, and their own code:`);
for (const s of STUDENTS) console.log(`          ${s.code}   ${s.name}`);
process.exit(0);
