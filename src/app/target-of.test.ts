import { Refused } from '@/studio/access/actor';
import { targetOf } from './target-of';

const asked = (target: unknown) =>
  targetOf(
    new Request(
      `http://studio.test/hand-in?target=${encodeURIComponent(typeof target === 'string' ? target : JSON.stringify(target))}`,
      { method: 'POST' },
    ),
  );
const square = [
  { x: 0.1, y: 0.1 },
  { x: 0.9, y: 0.1 },
  { x: 0.9, y: 0.9 },
  { x: 0.1, y: 0.9 },
];

test('nothing said is a worksheet; corner pieces and marked corners come through', () => {
  expect(targetOf(new Request('http://studio.test/hand-in', { method: 'POST' }))).toBeNull();
  expect(asked({ kind: 'brackets', depthMm: 18 })).toEqual({ kind: 'brackets', depthMm: 18 });
  expect(asked({ kind: 'marked', corners: square })).toEqual({ kind: 'marked', corners: square });
});

test.each([
  ['no JSON', '{', 'did not come through'],
  ['another kind', { kind: 'scan' }, 'Invalid'],
  ['three corners', { kind: 'marked', corners: square.slice(1) }, 'Mark all four corners.'],
  ['a corner outside', { kind: 'marked', corners: [{ x: -0.2, y: 0 }, ...square.slice(1)] }, 'outside the picture'],
  ['lines that cross', { kind: 'marked', corners: [square[0], square[2], square[1], square[3]] }, 'cross'],
  ['no area', { kind: 'marked', corners: square.map(({ x }) => ({ x, y: 0.5 })) }, 'enclose nothing'],
  ['one place four times', { kind: 'marked', corners: square.map(() => ({ x: 0.5, y: 0.5 })) }, 'enclose nothing'],
  ['a canvas as deep as a box', { kind: 'brackets', depthMm: 400 }, '0 to 100 mm'],
])('%s is told', (_, target, words) => {
  expect(() => asked(target)).toThrow(Refused);
  expect(() => asked(target)).toThrow(words);
});
