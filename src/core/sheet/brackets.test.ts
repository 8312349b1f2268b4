import { type BoxMm } from '../geometry/box';
import { BRACKET_MARKER_IDS, bracketPage, drawBrackets } from './brackets';
import { MARKER_QUIET_MM } from './frame';
import { PAPER_IDS } from './paper';

const within = (inner: BoxMm, outer: BoxMm, margin = 0) =>
  inner.xMm >= outer.xMm + margin &&
  inner.yMm >= outer.yMm + margin &&
  inner.xMm + inner.widthMm <= outer.xMm + outer.widthMm - margin &&
  inner.yMm + inner.heightMm <= outer.yMm + outer.heightMm - margin;
const apart = (a: BoxMm, b: BoxMm) =>
  a.xMm + a.widthMm <= b.xMm ||
  b.xMm + b.widthMm <= a.xMm ||
  a.yMm + a.heightMm <= b.yMm ||
  b.yMm + b.heightMm <= a.yMm;

test.each(PAPER_IDS)('four pieces fit on %s, each with its marker at the corner that touches the painting', (paper) => {
  const page = bracketPage(paper);
  expect(page.markers.map((m) => m.id)).toEqual([...BRACKET_MARKER_IDS]);
  page.brackets.forEach((b, i) => {
    expect(within(b, { xMm: 0, yMm: 0, widthMm: page.widthMm, heightMm: page.heightMm }, 4)).toBe(true);
    for (const other of page.brackets.slice(i + 1)) expect(apart(b, other)).toBe(true);
    const marker = page.markers[i];
    const box = {
      xMm: marker?.xMm ?? 0,
      yMm: marker?.yMm ?? 0,
      widthMm: marker?.sizeMm ?? 0,
      heightMm: marker?.sizeMm ?? 0,
    };
    expect(within(box, b, MARKER_QUIET_MM)).toBe(true);
    // Nearer to the inner corner than to any other.
    const middle = { x: box.xMm + box.widthMm / 2, y: box.yMm + box.heightMm / 2 };
    const far = (x: number, y: number) => Math.hypot(middle.x - x, middle.y - y);
    const corners = [0, 1].flatMap((h) => [0, 1].map((v) => far(b.xMm + h * b.widthMm, b.yMm + v * b.heightMm)));
    expect(far(b.innerCornerMm.x, b.innerCornerMm.y)).toBe(Math.min(...corners));
    const own = page.patches.slice(8 * i, 8 * i + 8);
    for (const p of own) {
      expect(within(p, b, 2)).toBe(true);
      expect(apart(p, box)).toBe(true);
      expect(apart(p, page.lines[i] ?? p)).toBe(true);
    }
    expect(page.lines[i]?.heightMm).toBe(100);
  });
  expect(drawBrackets(page).marks.filter((m) => m.kind === 'text' && m.text === '100 mm')).toHaveLength(4);
});
