import fc from 'fast-check';
import { type BoxMm, grow } from '../geometry/box';
import { defaultTerms, exerciseLayout, KIND_IDS } from '../kinds/table';
import { blankPlaces } from '../sheet/blank';
import { cardLightness, cardLuminance, RAMP_CODES } from '../sheet/card';
import { sheetFrame } from '../sheet/frame';
import { PAPER_IDS, PAPERS } from '../sheet/paper';
import { PICTURE_MM, pictureLayout } from '../sheet/picture-layout';
import { formatSheetTag, parseSheetTag } from '../sheet/qr';

const apart = (a: BoxMm, b: BoxMm) =>
  a.xMm + a.widthMm <= b.xMm ||
  b.xMm + b.widthMm <= a.xMm ||
  a.yMm + a.heightMm <= b.yMm ||
  b.yMm + b.heightMm <= a.yMm;

test.each(KIND_IDS.flatMap((kind) => PAPER_IDS.map((paper) => [kind, paper] as const)))(
  '%s on %s: nothing stands on anything else, and white places are white',
  (kind, paper) => {
    const layout = exerciseLayout({ ...defaultTerms(kind), paper });
    const { widthMm, heightMm } = PAPERS[paper];
    const things: BoxMm[] = [
      ...layout.cells,
      ...layout.dabs,
      ...layout.chips,
      ...layout.patches,
      ...layout.ticks,
      layout.qrBox,
      ...layout.markers.map((m) => ({ xMm: m.xMm, yMm: m.yMm, widthMm: m.sizeMm, heightMm: m.sizeMm })),
    ];
    const off = things.filter(
      (a) => a.xMm < 0 || a.yMm < 0 || a.xMm + a.widthMm > widthMm || a.yMm + a.heightMm > heightMm,
    );
    const over = things.flatMap((a, i) => things.slice(i + 1).flatMap((b) => (apart(a, b) ? [] : [[a, b]])));
    expect([off, over]).toEqual([[], []]);
    const white = blankPlaces(layout);
    expect(white.length).toBeGreaterThan(50);
    const printed = things.filter((t) => t !== layout.qrBox).map((t) => grow(t, 0.5));
    expect(white.filter((place) => printed.some((t) => !apart(place, t)))).toEqual([]);
  },
);

test('ramps run in opposite directions and are even in lightness', () => {
  expect(RAMP_CODES).toHaveLength(10);
  for (const paper of PAPER_IDS) {
    const codes = sheetFrame(paper).patches.map((p) => p.code);
    expect(codes.slice(10)).toEqual([...codes.slice(0, 10)].reverse());
  }
  const steps = RAMP_CODES.slice(1).map((c, i) => cardLightness(c) - cardLightness(RAMP_CODES[i] ?? 0));
  for (const s of steps) expect(s).toBeCloseTo(7.9, 0);
  expect(cardLuminance(255)).toBeCloseTo(0.8758, 2);
  expect(cardLightness(0)).toBeCloseTo(16, 6);
});

test('frames of studies share the picture’s frame', () => {
  for (const frames of [1, 2, 3, 4, 5, 6]) {
    const { cells } = pictureLayout('letter', { frames });
    expect(cells).toHaveLength(frames);
    const right = Math.max(...cells.map((c) => c.xMm + c.widthMm));
    const left = Math.min(...cells.map((c) => c.xMm));
    expect(right - left).toBeCloseTo(PICTURE_MM.width, 3);
  }
  expect(() => pictureLayout('a4', { frames: 7 })).toThrow(RangeError);
});

test('what a code says comes back, and other codes are none of ours', () => {
  const id = fc.option(fc.stringMatching(/^[A-Za-z0-9]{1,16}$/), { nil: null });
  fc.assert(
    fc.property(
      fc.constantFrom(...KIND_IDS),
      fc.integer({ min: 1, max: 15 }),
      fc.constantFrom(...PAPER_IDS),
      id,
      id,
      (kind, steps, paper, exercise, student) => {
        const tag = { kind, steps, paper, exercise, student };
        expect(parseSheetTag(formatSheetTag(tag))).toEqual(tag);
      },
    ),
  );
  for (const text of [
    '',
    'https://example.test',
    'FG1:scale:9',
    'FG2:scale:9:a4:-:-',
    'FG1:scale:9:a3:-:-',
    'FG1:scale:9:a4:../x:-',
  ])
    expect(parseSheetTag(text)).toBeNull();
});

test.each([3, 5, 9, 12, 15])(
  'chips for %i greys stand in a column a step, clear of all else and of the paper’s end',
  (steps) => {
    for (const paper of PAPER_IDS) {
      const layout = exerciseLayout({ ...defaultTerms('colours-on-scale'), paper, steps, chips: 15 });
      expect(layout.chips.length % steps).toBe(0);
      expect(layout.chips.length).toBeGreaterThanOrEqual(15);
      expect(
        layout.chips.every((c) => layout.cells.every((d) => apart(c, d)) && layout.dabs.every((d) => apart(c, d))),
      ).toBe(true);
      expect(layout.wordsTopMm + layout.wordsHeightMm).toBeLessThan(layout.heightMm - 22);
    }
  },
);
