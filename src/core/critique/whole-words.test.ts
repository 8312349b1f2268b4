import type { WholePicture } from '../painting/values/whole-picture';
import { sayPattern, sayPush, sayShares } from './whole-words';

const BOX = { x: 0, y: 0, width: 1, height: 1 };
const whole = (more: Partial<WholePicture> = {}): WholePicture => ({
  curve: Array.from({ length: 21 }, (_, k) => 20 + 3 * k),
  thirds: { light: 0.1, middle: 0.66, dark: 0.24 },
  lights: { pieces: 2, middle: { x: 0.5, y: 0.5 }, box: BOX },
  darks: null,
  focus: { box: BOX, contrast: 40 },
  ...more,
});

test('a picture is told by how its values share it, hang together and how far they go', () => {
  expect(sayShares(whole())).toBe('Most of it middle, some of it dark, a little of it light');
  expect(sayPattern(whole())).toBe('Its lights lie in two shapes, its darks in no shape');
  expect(sayPush(whole(), 9)).toBe('From dark to light it goes six steps');
});

test('nothing that is hardly there is told', () => {
  expect(sayShares(whole({ thirds: { light: 0.01, middle: 0.99, dark: 0 } }))).toBe('All of it middle');
});
