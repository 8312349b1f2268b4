import { boxesOverlap } from '../geometry/box';
import { PIECES } from './bracket-pieces';
import { BRACKET_MARKER_IDS, bracketPage } from './brackets';
import { PAPER_IDS } from './paper';

test('four pieces in the order of the corners, each with a marker of its own', () => {
  expect(PIECES.map((p) => p.corner)).toEqual(['top-left', 'top-right', 'bottom-right', 'bottom-left']);
  expect(PIECES.map((p) => p.markerId)).toEqual([...BRACKET_MARKER_IDS]);
});

test('all that is on a piece lies outside the corner that it is laid round', () => {
  for (const { corner, marker, patches, blanks } of PIECES) {
    const [right, low] = [corner.endsWith('right'), corner.startsWith('bottom')];
    for (const b of [marker, ...patches, ...blanks]) {
      const beside = right ? b.xMm >= -0.01 : b.xMm + b.widthMm <= 0.01;
      const beyond = low ? b.yMm >= -0.01 : b.yMm + b.heightMm <= 0.01;
      expect(beside || beyond).toBe(true);
    }
  }
});

test('bare places are many, and nothing is printed on them', () => {
  for (const { marker, patches, blanks } of PIECES) {
    expect(blanks.length).toBeGreaterThan(8);
    for (const blank of blanks) for (const b of [marker, ...patches]) expect(boxesOverlap(blank, b)).toBe(false);
    expect(new Set(blanks.map((b) => `${b.xMm} ${b.yMm}`)).size).toBe(blanks.length);
  }
});

test('each piece carries dark, middle and light greys, and both papers print the same pieces', () => {
  for (const { patches } of PIECES) {
    const codes = patches.map((p) => p.code);
    expect(Math.max(...codes) - Math.min(...codes)).toBeGreaterThan(150);
  }
  const [a4, letter] = PAPER_IDS.map((paper) =>
    bracketPage(paper).brackets.map((b) => [b.corner, b.widthMm, b.heightMm]),
  );
  expect(a4).toEqual(letter);
});
