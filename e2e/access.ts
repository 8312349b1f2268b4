/** Every screen, looked at by an accessibility checker: nothing serious against WCAG 2.2 AA. */
import { createRequire } from 'node:module';
import type { Page } from 'playwright';
import { BASE, type Harness } from './harness';

interface Violation {
  readonly id: string;
  readonly impact: string | null;
  readonly nodes: readonly { readonly target: readonly string[] }[];
}

const TAGS = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'];

async function violations(page: Page): Promise<string[]> {
  await page.addScriptTag({ path: createRequire(import.meta.url).resolve('axe-core/axe.min.js') });
  const found = await page.evaluate(async (tags) => {
    const { axe } = window as unknown as {
      axe: { run: (where: Document, options: object) => Promise<{ violations: Violation[] }> };
    };
    return (await axe.run(document, { runOnly: { type: 'tag', values: tags } })).violations;
  }, TAGS);
  return found
    .filter((v) => v.impact === 'serious' || v.impact === 'critical')
    .map(
      (v) =>
        `${v.id}: ${v.nodes
          .map((n) => n.target.join(' '))
          .slice(0, 3)
          .join('; ')}`,
    );
}

type Screens = readonly (readonly [string, Page, string | (() => Promise<void>)])[];

/** A desk's screen at twice the size of its letters, and the narrowest that is asked for (WCAG 1.4.10). */
const NARROW = [
  { width: 640, height: 400 },
  { width: 320, height: 640 },
] as const;

/** At 200 % and in 320 px nothing is cut off sideways, and what is asked of everybody holds there too. */
async function reflowed({ check }: Pick<Harness, 'check'>, screens: Screens): Promise<void> {
  for (const [name, who, where] of screens) {
    const usual = who.viewportSize();
    await check(`${name} fits a narrow screen`, async () => {
      await (typeof where === 'string' ? who.goto(`${BASE}${where}`) : where());
      const faults: string[] = [];
      for (const size of NARROW) {
        await who.setViewportSize(size);
        await who.waitForLoadState('networkidle');
        const wide = await who.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
        if (wide > 0) faults.push(`${wide} px wider than ${size.width}`);
        if (size.width === 640) faults.push(...(await violations(who)));
      }
      if (faults.length > 0) throw new Error(faults.join('\n'));
    });
    if (usual) await who.setViewportSize(usual);
  }
}

export async function access({ check }: Harness, page: Page, student: Page, exerciseId: string): Promise<void> {
  const handIn = async () => {
    await page.goto(`${BASE}/rack`);
    await page
      .getByRole('link', { name: /Bea Lindqvarn/ })
      .last()
      .click();
    await page.waitForURL(/table/);
  };
  const screens: Screens = [
    ['Today', page, '/'],
    ['Plan', page, '/plan'],
    ['setting an exercise', page, '/plan/new'],
    ['an exercise', page, `/plan/${exerciseId}`],
    ['the Palette', page, '/palette'],
    ['the cupboard', page, '/palette/cupboard'],
    [
      'files of a palette',
      page,
      async () =>
        void (
          await page.getByRole('link', { name: 'Palette' }).click(),
          await page.getByRole('link', { name: 'Bring in a file' }).click()
        ),
    ],
    ['the Rack', page, '/rack'],
    ['the Table', page, handIn],
    ['the Ledger', page, '/ledger'],
    ['my work', student, '/my'],
    ['my exercise', student, `/my/${exerciseId}`],
  ];
  for (const [name, who, where] of screens)
    await check(`${name} can be used by everybody`, async () => {
      await (typeof where === 'string' ? who.goto(`${BASE}${where}`) : where());
      await who.waitForLoadState('networkidle');
      const found = await violations(who);
      if (found.length > 0) throw new Error(found.join('\n'));
    });
  await reflowed({ check }, screens);
}
