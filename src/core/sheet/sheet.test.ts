import { cardLightness, RAMP_CODES } from './card';
import { PAPER_IDS, PAPERS } from './paper';
import { formatSheetTag, parseSheetTag } from './qr';
import { scaleLayout } from './scale-layout';

test('3 to 15 steps fit both papers at 18 mm or wider, 2 mm apart', () => {
  for (const paper of PAPER_IDS)
    for (let steps = 3; steps <= 15; steps++) {
      const { cells } = scaleLayout(steps, paper);
      expect(cells).toHaveLength(steps);
      for (const cell of cells) {
        expect(cell.widthMm).toBeGreaterThanOrEqual(18);
        expect(cell.xMm + cell.widthMm).toBeLessThanOrEqual(PAPERS[paper].widthMm - 15.9);
      }
      expect((cells[1]?.xMm ?? 0) - (cells[0]?.xMm ?? 0) - (cells[0]?.widthMm ?? 0)).toBeCloseTo(2, 3);
    }
});

test('steps outside 3 to 15 are refused with both numbers', () => {
  expect(() => scaleLayout(21, 'a4')).toThrow('needs 3 to 15 steps, got 21');
});

test('the ramp runs from the card’s black, evenly in L*', () => {
  const l = RAMP_CODES.map((c) => cardLightness(c));
  expect(l[0]).toBeCloseTo(16, 9);
  l.slice(1).forEach((v, i) => expect(v - (l[i] ?? 0)).toBeCloseTo(7.9, 0));
});

test('a sheet’s code holds ids only and comes back', () => {
  const tag = { kind: 'scale', steps: 9, paper: 'a4' as const, exercise: 'e1', student: null };
  expect(formatSheetTag(tag)).toBe('FG1:scale:9:a4:e1:-');
  expect(parseSheetTag(formatSheetTag(tag))).toEqual(tag);
  expect(parseSheetTag('HTTP://elsewhere')).toBeNull();
});
