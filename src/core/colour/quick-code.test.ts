import { quickCode } from './quick-code';
import { linearToCode } from './srgb';

test('a code from the table is at most one off, and codes come back as they were', () => {
  for (let k = 0; k <= 20_000; k++) {
    const y = (k / 20_000) ** 2;
    expect(Math.abs(quickCode(y) - linearToCode(y))).toBeLessThanOrEqual(1);
  }
  expect([quickCode(-1), quickCode(0), quickCode(1), quickCode(2)]).toEqual([0, 0, 255, 255]);
});
