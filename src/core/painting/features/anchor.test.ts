/** One feature held still, and the gaps between neighbours. */
import { besideAnchor, gapsBetween } from './anchor';
import { sampleFeature } from '../sample-result';

const box = (x: number, y: number, width = 0.1, height = 0.1) => ({ x, y, width, height });

test('held still, one feature takes its own displacement out of all the others', () => {
  const features = [
    sampleFeature({ id: 'jug', name: 'jug', dx: 0.02, dy: -0.01 }),
    sampleFeature({ id: 'egg', name: 'egg', dx: 0.02, dy: 0.03 }),
  ];
  const [jug, egg] = besideAnchor(features, 'jug');
  expect([jug?.dx, jug?.dy]).toEqual([0, 0]);
  expect(egg?.dx).toBeCloseTo(0);
  expect(egg?.dy).toBeCloseTo(0.04);
  expect(() => besideAnchor(features, 'loaf')).toThrow(RangeError);
});

test('a gap that closed up is told between neighbours, and none between what lies apart', () => {
  const features = [
    sampleFeature({ id: '1', name: 'jug', box: box(0.1, 0.4) }),
    sampleFeature({ id: '2', name: 'egg', box: box(0.24, 0.4), dx: -0.03, width: 1.2 }),
    sampleFeature({ id: '3', name: 'loaf', box: box(0.7, 0.4) }),
    sampleFeature({ id: '4', name: 'lamp', box: box(0.1, 0.1) }),
    sampleFeature({ id: '5', name: 'jug > lit side', box: box(0.1, 0.4, 0.05) }),
  ];
  const [gap, ...others] = gapsBetween(features, 0.8);
  expect(others).toEqual([]);
  expect(gap).toMatchObject({ between: ['jug', 'egg'], way: 'across' });
  expect(gap?.wanted).toBeCloseTo(0.04);
  expect(gap?.painted).toBeCloseTo(0);
});
