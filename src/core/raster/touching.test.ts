import fc from 'fast-check';
import { forEachTouching } from './touching';

test('each pair beside or above each other is met once, and no other', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 9 }), fc.integer({ min: 1, max: 9 }), (width, height) => {
      const pairs: string[] = [];
      forEachTouching({ width, height }, (i, j) => {
        const [dx, dy] = [(j % width) - (i % width), Math.floor(j / width) - Math.floor(i / width)];
        expect(dx + dy).toBe(1);
        expect(dx * dy).toBe(0);
        pairs.push(`${i} ${j}`);
      });
      expect(new Set(pairs).size).toBe(pairs.length);
      expect(pairs.length).toBe((width - 1) * height + width * (height - 1));
    }),
  );
});
