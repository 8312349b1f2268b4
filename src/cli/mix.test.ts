/** Mixes through the command. */
import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { testCommand } from './test-command';

const { folder, fairGrey } = testCommand();

test('nine steps are mixed in whole parts, each from what is there, and all the paint is counted', () => {
  const { code, json } = fairGrey(
    'mix',
    '--steps',
    '9',
    '--white',
    'zinc-white',
    '--black',
    'lamp-black',
    '--area',
    '1000',
    '--film',
    '0.2',
    '--waste',
    '50',
    '--json',
  );
  expect(code).toBe(0);
  const { steps, order, total } = json as {
    steps: {
      index: number;
      target: number;
      lightness: number;
      parts: Record<string, number>;
      from: string[];
      millilitres: number;
    }[];
    order: string[];
    total: Record<string, number>;
  };
  expect(steps).toHaveLength(9);
  for (const s of steps) {
    expect(Math.abs(s.lightness - s.target)).toBeLessThan(1.5);
    expect(Object.keys(s.parts).sort()).toEqual([...s.from].sort());
    for (const n of Object.values(s.parts)) expect(Number.isInteger(n) && n >= 1 && n <= 8).toBe(true);
    for (const from of s.from.filter((f) => /^\d+$/.test(f)))
      expect(order.indexOf(from)).toBeLessThan(order.indexOf(String(s.index)));
    expect(s.millilitres).toBeGreaterThanOrEqual(0.3 - 1e-9);
  }
  // Nine times 1000 mm² of 0.2 mm and half as much again.
  expect((total['zinc-white'] ?? 0) + (total['lamp-black'] ?? 0)).toBeCloseTo(9 * 0.3, 9);
});

test('a yellow turns green on the way to black, and own figures change the recipe', () => {
  const { json } = fairGrey('mix', '--steps', '9', '--hue', 'cadmium-yellow', '--json');
  const { steps } = json as { steps: { index: number; hueTurn: number | null; shares: Record<string, number> }[] };
  const shades = steps
    .filter((s) => (s.shares['ivory-black'] ?? 0) > 0 && s.hueTurn !== null)
    .map((s) => s.hueTurn ?? 0);
  expect(Math.max(...shades)).toBeGreaterThan(10);
  writeFileSync(
    path.join(folder, 'own.csv'),
    'paint;lightness;a;b;tinting\nivory black;16;0,3;0,6;12\ntitanium white;97;-0,5;1,2;1\n',
  );
  const black = (...more: string[]) =>
    (fairGrey('mix', '--steps', '9', '--json', ...more).json as { total: Record<string, number> }).total[
      'ivory-black'
    ] ?? 0;
  expect(black('--palette', 'own.csv')).toBeLessThan(0.8 * black());
});

test.each([
  [['mix'], '--steps: is needed'],
  [['mix', '--steps', '2'], 'A scale needs 3 to 15 steps, got 2.'],
  [['mix', '--steps', '9', '--white', 'ivory-black'], 'is not dark enough beside'],
  [['mix', '--steps', '9', '--hue', 'mars-black'], 'does not lie between'],
  [['mix', '--steps', '9', '--area', '-3'], '--area'],
  [['mix', '--steps', '9', '--film', '0'], 'must be a thickness'],
  [['mix', '--steps', '9', '--waste', 'much'], 'must be a percentage'],
  [['mix', '--steps', '9', '--black', 'soot'], '--black must be one of'],
  [['mix', '--steps', '9', '--palette', 'none.csv'], 'none.csv can’t be read'],
])('%j mixes nothing and says why', (args, words) => {
  const { code, json, said } = fairGrey(...args, '--json');
  expect([code, json, said.split('\n').length]).toEqual([2, null, 1]);
  expect(said).toContain(words);
});
