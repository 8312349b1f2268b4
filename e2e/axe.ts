/** An accessibility checker, over a page as it stands, and on narrow screens. */
import type { Page } from '@playwright/test';
import { createRequire } from 'node:module';

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

/** A desk's screen at twice the size of its letters, and the narrowest that is asked for (WCAG 1.4.10). */
const NARROW = [
  { width: 640, height: 400 },
  { width: 320, height: 640 },
] as const;

/** What is serious or critical on a page, and what is cut off sideways on a narrow screen; the page is left as wide as it was. */
export async function faultsOf(page: Page): Promise<string[]> {
  const usual = page.viewportSize();
  await page.waitForLoadState('networkidle');
  const faults = await violations(page);
  for (const size of NARROW) {
    await page.setViewportSize(size);
    await page.waitForLoadState('networkidle');
    const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    if (wide > 0) faults.push(`${wide} px wider than ${size.width}`);
    if (size.width === 640) faults.push(...(await violations(page)));
  }
  if (usual) await page.setViewportSize(usual);
  return faults;
}
