import { sayRepaints, sayMinutes, sayRepainted } from './rescue-words';

const BOX = { x: 0.6, y: 0.05, width: 0.3, height: 0.2 };

test('what becomes of a shape, how much of the picture that is, and how long it takes', () => {
  const large = { box: BOX, area: 0.4, lightness: 50, steps: -2 };
  const small = { box: BOX, area: 0.02, lightness: 40, steps: 1 };
  expect(sayRepaints([large, small])).toEqual([
    'The large shape at the top right: two steps darker',
    'The small shape at the top right: a whole step lighter',
  ]);
  expect(sayRepaints([large, { ...large, lightness: 60, steps: 1 }])).toEqual([
    'The darker large shape at the top right: two steps darker',
    'The lighter large shape at the top right: a whole step lighter',
  ]);
  expect(sayRepainted(0.22)).toBe('Some of the picture is painted over');
  expect(sayRepainted(1)).toBe('All of the picture is painted over');
  const parts = [{ box: BOX, area: 0.3, lightness: 50, steps: 1 }];
  expect(sayMinutes(parts, 30_000)).toBe('about 25 minutes');
  expect(sayMinutes(parts, null)).toBe('about 35 minutes');
  expect(sayMinutes([...parts, { box: BOX, area: 0.7, lightness: 50, steps: 1 }], null)).toBe('about 1.7 hours');
});
