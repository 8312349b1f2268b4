import fc from 'fast-check';
import { dissolved } from './dissolve';
import { toneShapes } from './tones';

const picture = (rows: readonly string[]) => ({
  width: rows[0]?.length ?? 0,
  toneOf: Uint8Array.from(rows.join(''), Number),
});

test('a speck goes to what it touches most, the large shapes stay', () => {
  const { width, toneOf } = picture(['11111222', '11311222', '11111222', '11111232']);
  expect([...dissolved(toneOf, width, 2)].join('')).toBe('11111222111112221111122211111222');
});

test('specks beside specks go to what is large, and nothing small is left', () => {
  const { width, toneOf } = picture(['1111111', '1123111', '1132111', '1111111']);
  expect(new Set(dissolved(toneOf, width, 5))).toEqual(new Set([1]));
});

test('where there is nothing large all stays as it is', () => {
  const { width, toneOf } = picture(['12', '34']);
  expect(dissolved(toneOf, width, 100)).toBe(toneOf);
});

test('shapes are those that a flood would fill, largest first, with their boxes', () => {
  const flood = (tones: Uint8Array, width: number): number[] => {
    const seen = new Set<number>();
    return Array.from(tones.keys())
      .flatMap((start) => {
        if (seen.has(start)) return [];
        const stack = [start];
        let size = 0;
        seen.add(start);
        for (let i = stack.pop(); i !== undefined; i = stack.pop()) {
          size++;
          for (const k of [i % width > 0 ? i - 1 : -1, (i + 1) % width > 0 ? i + 1 : -1, i - width, i + width])
            if (tones[k] === tones[start] && !seen.has(k)) {
              seen.add(k);
              stack.push(k);
            }
        }
        return [size];
      })
      .sort((a, b) => b - a);
  };
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 12 }),
      fc.array(fc.integer({ min: 0, max: 2 }), { minLength: 12, maxLength: 120 }),
      (width, list) => {
        const tones = Uint8Array.from(list.slice(0, Math.floor(list.length / width) * width));
        if (tones.length === 0) return;
        const { shapes, shapeOf } = toneShapes(tones, width);
        expect(shapes.map((s) => s.places)).toEqual(flood(tones, width));
        shapes.forEach((s, k) => {
          const own = [...shapeOf.keys()].filter((i) => shapeOf[i] === k);
          expect(own.every((i) => tones[i] === s.tone)).toBe(true);
          expect(s.box).toEqual({
            x0: Math.min(...own.map((i) => i % width)),
            x1: 1 + Math.max(...own.map((i) => i % width)),
            y0: Math.min(...own.map((i) => Math.floor(i / width))),
            y1: 1 + Math.max(...own.map((i) => Math.floor(i / width))),
          });
        });
      },
    ),
  );
});
