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

export async function access({ check }: Harness, page: Page, student: Page, exerciseId: string): Promise<void> {
  const handIn = async () => {
    await page.goto(`${BASE}/rack`);
    await page
      .getByRole('link', { name: /Bea Lindqvarn/ })
      .last()
      .click();
    await page.waitForURL(/table/);
  };
  const screens: readonly (readonly [string, Page, string | (() => Promise<void>)])[] = [
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
}
