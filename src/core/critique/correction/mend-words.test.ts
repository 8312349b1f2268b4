import { sayMend, sayMinutes, sayRepainted } from './mend-words';

const BOX = { x: 0.6, y: 0.05, width: 0.3, height: 0.2 };

test('what becomes of a shape, how much of the picture that is, and how long it takes', () => {
  expect(sayMend({ box: BOX, area: 0.4, steps: -2 })).toBe('The large shape at the top right: two steps darker');
  expect(sayMend({ box: BOX, area: 0.02, steps: 1 })).toBe('The small shape at the top right: a whole step lighter');
  expect(sayRepainted(0.22)).toBe('Some of the picture is painted over');
  expect(sayRepainted(1)).toBe('All of the picture is painted over');
  const parts = [{ box: BOX, area: 0.3, steps: 1 }];
  expect(sayMinutes(parts, 30_000)).toBe('about 25 minutes');
  expect(sayMinutes(parts, null)).toBe('about 35 minutes');
  expect(sayMinutes([...parts, { box: BOX, area: 0.7, steps: 1 }], null)).toBe('about 1.7 hours');
});
