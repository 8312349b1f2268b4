/** Marks on a drawing: ellipses, uprights, boxes, centre lines, edges that should meet. */
import fc from 'fast-check';
import { disagreeing, leanOf, offCentre, proportionOf, vanishingOf } from './checks';
import { type Ellipse, fittedEllipse } from './ellipse';
import { type Figure, toldOfMarks } from './told';

const onEllipse = ({ middle, long, short, tilt }: Ellipse, angles: readonly number[]) => {
  const [c, s] = [Math.cos((tilt * Math.PI) / 180), Math.sin((tilt * Math.PI) / 180)];
  return angles.map((t) => {
    const [u, v] = [long * Math.cos(t), short * Math.sin(t)];
    return { x: middle.x + c * u - s * v, y: middle.y + s * u + c * v };
  });
};

test('an ellipse is found from points on it, wherever and however it lies', () => {
  fc.assert(
    fc.property(
      fc.record({
        x: fc.double({ min: -0.4, max: 0.4, noNaN: true }),
        y: fc.double({ min: -0.4, max: 0.4, noNaN: true }),
        long: fc.double({ min: 0.05, max: 0.3, noNaN: true }),
        ratio: fc.double({ min: 0.15, max: 0.85, noNaN: true }),
        tilt: fc.double({ min: -80, max: 80, noNaN: true }),
      }),
      ({ x, y, long, ratio, tilt }) => {
        const made: Ellipse = { middle: { x, y }, long, short: ratio * long, tilt };
        const found = fittedEllipse(onEllipse(made, [0.2, 1, 2, 3.3, 4.1, 5.5]));
        expect(found?.middle.x).toBeCloseTo(x, 4);
        expect(found?.middle.y).toBeCloseTo(y, 4);
        expect(found?.long).toBeCloseTo(long, 4);
        expect(found?.short).toBeCloseTo(ratio * long, 4);
        expect(found?.tilt).toBeCloseTo(tilt, 1);
      },
    ),
  );
});

test('too few points, one place or a line are no ellipse', () => {
  const line = [0, 1, 2, 3, 4, 5].map((k) => ({ x: k / 10, y: k / 10 }));
  expect(fittedEllipse(line.slice(0, 4))).toBeNull();
  expect(fittedEllipse(Array.from({ length: 6 }, () => ({ x: 0.1, y: 0.1 })))).toBeNull();
  expect(fittedEllipse(line)).toBeNull();
});

test('of two rims the one further below eye level is the rounder one', () => {
  const rim = (y: number, ratio: number): Ellipse => ({ middle: { x: 0, y }, long: 0.1, short: 0.1 * ratio, tilt: 0 });
  expect(disagreeing([rim(0.1, 0.2), rim(0.3, 0.35)], 0)).toEqual([]);
  expect(disagreeing([rim(0.1, 0.4), rim(0.3, 0.2)], 0)).toEqual([[0, 1]]);
  // Above and below it nothing is known of which is rounder.
  expect(disagreeing([rim(-0.1, 0.4), rim(0.3, 0.2)], 0)).toEqual([]);
});

test('uprights, boxes and centre lines are told by how far they are off', () => {
  const lean = leanOf([
    { x: 0.1, y: 0.5 },
    { x: 0.13, y: 0.1 },
  ]);
  expect(lean.beside).toBeCloseTo(0.03);
  expect(lean.degrees).toBeCloseTo(4.29, 1);
  expect(
    proportionOf([
      { x: 0, y: 0 },
      { x: 0.3, y: -0.2 },
    ]),
  ).toBeCloseTo(1.5);
  const pair = (left: number, right: number) =>
    [
      { x: left, y: 0 },
      { x: right, y: 0 },
    ] as const;
  expect(offCentre([pair(0, 0.2), pair(0.05, 0.15), pair(0.03, 0.23)]).map((o) => Math.round(1000 * o))).toEqual([
    -10, -10, 20,
  ]);
});

test('edges meet in one point, and the one that misses it is told; parallels meet nowhere', () => {
  const to = (x: number, y: number) =>
    [
      { x, y },
      { x: 0.5 * (x + 2), y: 0.5 * (y - 0.5) },
    ] as const;
  const good = vanishingOf([to(0, 0), to(0, 0.3), to(0.1, -0.2)]);
  expect(good?.point.x).toBeCloseTo(2, 3);
  expect(good?.point.y).toBeCloseTo(-0.5, 3);
  expect(Math.max(...(good?.misses ?? [99]))).toBeLessThan(0.01);
  const off = vanishingOf([
    to(0, 0),
    to(0, 0.3),
    to(0.1, -0.2),
    [
      { x: 0, y: 0.1 },
      { x: 0.5, y: 0.16 },
    ],
  ]);
  const worst = off?.misses.indexOf(Math.max(...off.misses));
  expect(worst).toBe(3);
  expect(
    vanishingOf([
      [
        { x: 0, y: 0 },
        { x: 1, y: 0 },
      ],
      [
        { x: 0, y: 1 },
        { x: 1, y: 1 },
      ],
    ]),
  ).toBeNull();
});

test('marks are told in words: what holds, and what to look at again', () => {
  const at = (x: number, y: number) => ({ x, y });
  const line = (
    kind: Figure['kind'],
    a: ReturnType<typeof at>,
    b: ReturnType<typeof at>,
    on: Figure['on'] = 'painting',
  ) => ({
    ...{ kind, on, points: [a, b] },
  });
  const rim = (y: number, ratio: number, tilt = 0): Figure => ({
    kind: 'ellipse',
    on: 'painting',
    points: onEllipse({ middle: { x: 0.3, y }, long: 0.1, short: 0.1 * ratio, tilt }, [0.1, 1, 2, 3, 4, 5]),
  });
  expect(toldOfMarks([], null)).toEqual([]);
  expect(toldOfMarks([rim(0.3, 0.2), rim(0.5, 0.4)], 0.1)).toEqual(['The ellipses are level and agree.']);
  expect(toldOfMarks([rim(0.3, 0.4), rim(0.5, 0.2, 8)], 0.1)).toEqual([
    'Ellipse 2 leans down to the right: draw its long axis level.',
    'Ellipse 2 is further from eye level than ellipse 1: it should be the rounder of the two.',
  ]);
  expect(toldOfMarks([line('upright', at(0.2, 0.6), at(0.23, 0.1))], null)).toEqual([
    'The upright leans to the right.',
  ]);
  const boxes = (width: number) => [
    line('box', at(0, 0), at(width, 0.2)),
    line('box', at(0.1, 0), at(0.4, 0.2), 'reference'),
  ];
  expect(toldOfMarks(boxes(0.305), null)).toEqual(['The box has the proportion that it has in the reference.']);
  expect(toldOfMarks(boxes(0.36), null)).toEqual(['The box is too wide for its height.']);
  const centre = [line('centre', at(0.2, 0.1), at(0.4, 0.1)), line('centre', at(0.24, 0.3), at(0.42, 0.3))];
  expect(toldOfMarks(centre, null)[0]).toContain('both sides are not alike');
  const edges = [0, 0.1, 0.2].map((y) => line('edge', at(0, y), at(0.5, (y + 0.3) / 2)));
  expect(toldOfMarks(edges, null)).toEqual(['The edges meet in one point.']);
});
