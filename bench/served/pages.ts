/** How long the server takes over the pages that show a whole class, after a term. */
import { chromium } from '@playwright/test';
import { CHROMIUM } from '../../e2e/chromium';
import { teacherComesIn } from '../../e2e/people';
import { serveStudio } from '../../e2e/served-studio';
import { atNight, HESPER } from '../../e2e/tidewell';
import { quantile, row } from '../tally';
import { putTermIn } from './term';

const TERM = { students: 60, exercises: 12, tries: 3 } as const;
const LIMIT_MS = 200;
const TIMES = 12;

/** Returns whether every page is made in time. Needs `next build` to have run. */
export async function benchPages(): Promise<boolean> {
  let classId = '';
  const studio = await serveStudio((folder) =>
    atNight(folder, async (house) => {
      const { name, email, password } = HESPER;
      const teacherId = await house.auth.createTeacher(name, email, password);
      ({ classId } = await putTermIn(house, teacherId, TERM));
    }),
  );
  const browser = await chromium.launch(CHROMIUM);
  try {
    const page = await browser.newPage({ baseURL: studio.base });
    await teacherComesIn(page, HESPER.email, /wait for you/);
    console.log(`\nPages of ${TERM.students} students x ${TERM.exercises} exercises x ${TERM.tries} tries: ms`);
    row('', 'median', '95 %');
    let good = true;
    for (const [name, address] of [
      ['Today', '/'],
      ['Rack', `/rack/${classId}`],
      ['Ledger, the class', `/ledger/${classId}`],
      ['Ledger, the record', `/ledger/${classId}/record`],
      ['Ledger, grades', `/ledger/${classId}/grades`],
      ['Ledger, results', `/results/${classId}/results`],
    ] as const) {
      const times: number[] = [];
      for (let k = 0; k < TIMES; k++) {
        const begin = performance.now();
        const answer = await page.request.get(address);
        await answer.body();
        // The first one wakes the page.
        if (k > 0) times.push(performance.now() - begin);
      }
      row(name, quantile(times, 0.5), quantile(times, 0.95));
      good &&= quantile(times, 0.5) <= LIMIT_MS;
    }
    return good;
  } finally {
    await browser.close();
    studio.close();
  }
}
