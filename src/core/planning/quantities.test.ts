import { SUPPLIES, suppliesFor, SUPPLY_IDS } from '../exercise/supplies';
import { BadShelf, formatShelf, parseShelf } from '../formats/shelf-csv';
import { paintFor } from '../kinds/quantities';
import { areasOf, defaultTerms, KIND_IDS } from '../kinds/table';
import { shoppingList } from './quantities';

const scale = defaultTerms('scale');

test('the worked example of the documents adds up by hand', () => {
  // Nine cells of 18 x 30 mm and nine dabs of 10 x 10 mm: 9 * 540 + 9 * 100 = 5760 mm2.
  const area = areasOf(scale).reduce((s, a) => s + a.areaMm2, 0);
  expect(area).toBeCloseTo(5760, 0);
  // 0.15 mm of film and 75 % of waste: 5760 * 0.15 * 1.75 / 1000 = 1.512 ml.
  const need = paintFor(scale);
  const total = Object.values(need).reduce((a, b) => a + b, 0);
  expect(total).toBeCloseTo(1.512, 2);
  const lines = shoppingList({ 'titanium-white': 1.2, 'ivory-black': 0.3 }, 30, {
    'titanium-white': { pack: 20, price: 4.5, stock: 0 },
    'ivory-black': { pack: 20, price: 4, stock: 10 },
  });
  // White: 36 ml, two packs of 20, 9.00. Black: 9 ml, 10 in the cupboard, nothing to buy.
  expect(lines).toMatchObject([
    { what: 'titanium-white', forClass: 36, packs: 2, cost: 9 },
    { what: 'ivory-black', forClass: 9, short: 0, packs: 0, cost: 0 },
  ]);
});

test.each(KIND_IDS)('%s needs paint, of the paints that are set, and no more than the sheet can hold', (kind) => {
  const terms = defaultTerms(kind, 'oil');
  const need = paintFor(terms);
  expect(Object.keys(need).sort()).toEqual([...terms.materials.paints].sort());
  const total = Object.values(need).reduce((a, b) => a + b, 0);
  expect(total).toBeGreaterThan(1);
  expect(total).toBeLessThan((180 * 150 + 15 * 100) * 0.3 * 1.75 * 0.001 + 0.001);
});

test('beside paint an exercise takes a ground, brushes for its shapes, and thinner only where it is thinned', () => {
  expect(suppliesFor(scale, [16, 8], true)).toEqual({ 'white-paper': 1, 'brush-16': 1, 'brush-8': 1 });
  const oil = defaultTerms('master-copy', 'oil');
  const thinned = { ...oil, materials: { ...oil.materials, thinner: 'solvent' as const, varnish: true } };
  expect(suppliesFor(thinned, [], false)).toEqual({ 'primed-board': 1, solvent: 40, varnish: 10 });
  const [brush] = shoppingList({ 'brush-16': 1 }, 12, { 'brush-16': { pack: 1, price: 5, stock: 7 } });
  expect(brush).toMatchObject({ short: 5, packs: 5, cost: 25 });
  for (const id of SUPPLY_IDS) expect(SUPPLIES[id].pack * SUPPLIES[id].price).toBeGreaterThan(0);
});

test('hues share what white and black leave', () => {
  const painting = defaultTerms('free-colour');
  const need = paintFor({
    ...painting,
    materials: { ...painting.materials, paints: ['titanium-white', 'ultramarine', 'burnt-umber'] },
  });
  expect(need['ultramarine']).toBeCloseTo(need['burnt-umber'] ?? 0, 9);
  expect(need['titanium-white']).toBeCloseTo(2 * (need['ultramarine'] ?? 0), 9);
});

test('a shelf comes back from its own file, and from one with semicolons and decimal commas', () => {
  const shelf = {
    'titanium-white': { pack: 60, price: 8.5, stock: 12.5 },
    'brush-12': { pack: 1, price: 6, stock: 4 },
  };
  expect(parseShelf(formatShelf(shelf))).toEqual(shelf);
  expect(parseShelf('"what";pack;price;stock\r\n"titanium white";60;8,5;12,5\r\nflat brush, 12 mm;1;6;4')).toEqual(
    shelf,
  );
});

test.each([
  ['what,price\ntitanium white,3', /pack, stock are missing/],
  ['what,pack,price,stock\nsnow white,60,8,0', /Line 2: “snow white” is not on the list/],
  ['what,pack,price,stock\ntitanium white,-5,8,0', /titanium white: A pack holds more than 0/],
  ['what,pack,price,stock\ntitanium white,60,eight,0', /A price is 0 or more/],
])('a shelf that can’t be used says what to change: %j', (text, words) => {
  expect(() => parseShelf(text)).toThrow(BadShelf);
  expect(() => parseShelf(text)).toThrow(words);
});
