import type { Change, Layer, Mask } from '../../correction/layer';
import { REGISTERS, PLAIN_VOICE } from '../voice';
import { type CorrectedOf, correctionFindings } from './findings';

const square = (x: number, y: number, size: number): Mask => ({
  soft: 0.01,
  edits: [
    {
      kind: 'outline',
      adds: true,
      points: [
        [x, y],
        [x + size, y],
        [x + size, y + size],
        [x, y + size],
      ],
    },
  ],
});
const layer = (change: Change, more: Partial<Layer> = {}): Layer => ({
  ...{ id: 'l1', name: '', mask: square(0.1, 0.1, 0.2), change },
  ...more,
});
const OF: CorrectedOf = {
  step: 10,
  values: [
    { label: '1', lightness: 95 },
    { label: '5', lightness: 50 },
  ],
  shapes: [{ name: 'chin > shadow', box: { x: 0.4, y: 0.5, width: 0.2, height: 0.2 } }],
};
const told = (...layers: Layer[]) => correctionFindings(layers, OF, PLAIN_VOICE);
const still = { kind: 'move' as const, dx: 0, dy: 0, wider: 1, taller: 1, turn: 0 };

test('a mask drafts what is to be mended, by the name that the teacher gave it', () => {
  const [finding] = told(layer({ kind: 'lightness', by: -5 }, { name: 'shadow under the chin' }));
  expect(finding).toMatchObject({
    key: 'corrected_lightness shape l1',
    kind: 'fix',
    weight: 0,
    where: { shape: 'shadow under the chin' },
    evidence: { change: -5, changeSteps: -0.5 },
  });
  expect(finding?.say).toContain('the shadow under the chin is half a step darker');
  expect(finding?.do).toContain('Darken it by half a step');
});

test('a mask over a named shape goes by its name, and elsewhere by its place', () => {
  const on = layer({ kind: 'lightness', by: 10 }, { mask: square(0.41, 0.51, 0.19) });
  expect(told(on)[0]?.say).toContain('the shadow of the chin is a whole step lighter');
  expect(told(layer({ kind: 'lightness', by: 10 }))[0]?.say).toContain('the part at the top left');
});

test.each<[string, Change, RegExp]>([
  ['an edge', { kind: 'soften', by: 0.01 }, /softly/],
  ['a move', { ...still, dx: 0.05, wider: 1.3 }, /clearly to the right, wider/],
  ['a new shape of a value with a name', { kind: 'shape', lightness: 48 }, /new shape in 5/],
  ['a new shape of another value', { kind: 'shape', lightness: 20 }, /new shape, standing/],
])('%s is told', (_, change, words) => {
  expect(told(layer(change))[0]?.say).toMatch(words);
});

test('a layer that covers nothing, or changes nothing, says nothing', () => {
  expect(told(layer({ kind: 'lightness', by: -5 }, { mask: { edits: [], soft: 0 } }))).toEqual([]);
  expect(told(layer({ kind: 'lightness', by: 0 }))).toEqual([]);
});

test.each(REGISTERS)('words for %s are whole sentences, one of each layer', (register) => {
  const layers = [layer({ kind: 'lightness', by: 5 }), layer({ ...still, turn: -4 }, { id: 'l2' })];
  const findings = correctionFindings(layers, OF, { register, seed: 'a hand-in' });
  expect(findings.map((f) => f.key)).toEqual(['corrected_lightness shape l1', 'corrected_place shape l2']);
  for (const { say, do: advice } of findings) expect(`${say} ${advice}`).toMatch(/^[A-Z].*\.$/);
});
