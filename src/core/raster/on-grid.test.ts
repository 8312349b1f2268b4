/** Places on a grid of another size. */
import { onGrid } from './on-grid';

const from = { width: 3, height: 2 };
const values = Uint8Array.from([1, 2, 3, 4, 5, 6]);

test('on a finer grid each place is repeated, and comes back on the old one', () => {
  const to = { width: 6, height: 4 };
  const finer = onGrid(values, from, to);
  expect([...finer.subarray(0, 6)]).toEqual([1, 1, 2, 2, 3, 3]);
  expect([...finer.subarray(18)]).toEqual([4, 4, 5, 5, 6, 6]);
  expect(onGrid(finer, to, from)).toEqual(values);
});

test('on a coarser grid the place in the middle stands for those about it', () => {
  expect([...onGrid(values, from, { width: 1, height: 1 })]).toEqual([5]);
});
