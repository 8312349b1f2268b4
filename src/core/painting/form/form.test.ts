/** Rules of form on flat shapes: what is asked, and when nothing is said. Photographs of rounded things are the bench's. */
import type { FormPart } from '../shapes/form-parts';
import { formShapes } from './form-plane';
import { brokenRules } from './rules';

const [WIDTH, HEIGHT] = [120, 100];
const GRID = { width: WIDTH, height: HEIGHT };

interface Block {
  readonly name: string;
  readonly object?: string;
  readonly part: FormPart | null;
  readonly box: readonly [x0: number, y0: number, x1: number, y1: number];
  readonly wanted: number | ((x: number) => number);
  readonly painted?: number | ((x: number) => number);
  readonly material?: 'metal';
  readonly steps?: { readonly from: number; readonly to: number };
}

const GROUND = 60;

/** Codes of the rules that some blocks on a ground break. */
function codes(blocks: readonly Block[], more: { ruleWins?: boolean; lights?: number; fromLife?: boolean } = {}) {
  const numbers = new Uint8Array(WIDTH * HEIGHT);
  const [wanted, painted] = [
    new Float32Array(WIDTH * HEIGHT).fill(GROUND),
    new Float32Array(WIDTH * HEIGHT).fill(GROUND),
  ];
  const at = (value: Block['wanted'], x: number) => (typeof value === 'number' ? value : value(x));
  blocks.forEach(({ box: [x0, y0, x1, y1], ...block }, k) => {
    for (let y = y0; y < y1; y++)
      for (let x = x0; x < x1; x++) {
        const i = y * WIDTH + x;
        numbers[i] = k + 1;
        painted[i] = at(block.painted ?? block.wanted, x);
        wanted[i] = more.fromLife ? (painted[i] as number) : at(block.wanted, x);
      }
  });
  const named = blocks.map(({ name, object = 'jug', part, material = 'matt' as const, steps = null }) => ({
    ...{ name, object, part, material, steps },
  }));
  const shapes = formShapes(numbers, GRID, named);
  return brokenRules({
    plane: { ...GRID, numbers, wanted, painted, shapes },
    step: 9,
    lights: 1,
    ruleWins: false,
    edges: [],
    lightest: 96,
    ...more,
  }).map((r) => r.code);
}

const lit = (painted = 80): Block => ({ name: 'lit', part: 'lit', box: [20, 20, 50, 60], wanted: 80, painted });
const shadow = (painted = 30): Block => ({
  name: 'shadow',
  part: 'shadow',
  box: [50, 20, 70, 60],
  wanted: 30,
  painted,
});
const reflected = (wanted: number, painted = wanted, material?: 'metal'): Block => ({
  ...{ name: 'reflected', part: 'reflected', box: [60, 40, 70, 60], wanted, painted },
  ...(material && { material }),
});
const cast = (painted: (x: number) => number = (x) => 30 + (x - 55) / 4): Block => ({
  ...{ name: 'cast', part: 'cast', box: [55, 60, 115, 80], wanted: (x) => 30 + (x - 55) / 4, painted },
});

test('a painting that keeps its rules is told of none', () => {
  expect(codes([lit(), shadow(), reflected(40), cast()])).toEqual([]);
});

test('a shadow as light as the light is told, and so is what it does to its edge with the ground', () => {
  expect(codes([lit(), shadow(82)])).toEqual(['separation', 'counterchange']);
});

test('reflected light is told of matt things only, unless the reference has it so; then only where the rule wins', () => {
  expect(codes([lit(), shadow(), reflected(40, 84)])).toEqual(['reflected_light']);
  expect(codes([lit(), shadow(), reflected(40, 84, 'metal')])).toEqual([]);
  expect(codes([lit(), shadow(), reflected(84)])).toEqual([]);
  expect(codes([lit(), shadow(), reflected(84)], { ruleWins: true })).toEqual(['reflected_light']);
});

test('a cast shadow of one dark is a hole; one that only does not lighten is told as that', () => {
  expect(codes([lit(), shadow(), cast(() => 21)])).toContain('black_hole');
  expect(codes([lit(), shadow(), cast(() => 21)])).not.toContain('cast_not_lightening');
  expect(codes([lit(), shadow(), cast((x) => 36 - (x - 55) / 10)])).toEqual(['cast_not_lightening']);
});

test('shadow and cast shadow that fall apart are told', () => {
  expect(codes([lit(), shadow(), cast((x) => 46 + (x - 55) / 4)])).toEqual(['not_joined']);
});

test('highlights in another order, and an overlap that is no darker', () => {
  const highlight = (x: number, wanted: number, painted: number): Block => ({
    ...{ name: `highlight ${x}`, part: 'highlight', box: [x, 24, x + 10, 34], wanted, painted },
  });
  expect(codes([highlight(10, 95, 86), highlight(40, 86, 95)])).toEqual(['highlight_order']);
  const casts = (painted: number): Block[] => [
    { name: 'one', part: 'cast', box: [10, 60, 40, 80], wanted: 40 },
    { name: 'both', part: 'cast', box: [40, 60, 60, 80], wanted: 25, painted },
    { name: 'other', part: 'cast', box: [60, 60, 90, 80], wanted: 42 },
  ];
  expect(codes(casts(41), { lights: 2 })).toEqual(['overlap_not_darker']);
  expect(codes(casts(41))).toEqual([]);
  expect(codes(casts(26), { lights: 2 })).toEqual([]);
});

test('steps that a shape was given, and those that nobody used', () => {
  const allotted = (painted: number): Block => ({ ...lit(painted), wanted: 78, steps: { from: 2, to: 3 } });
  expect(codes([allotted(78)])).not.toContain('outside_steps');
  expect(codes([allotted(50)])).toContain('outside_steps');
  const halves: Block = { ...lit(), wanted: (x) => (x < 35 ? 87 : 78), painted: 78, steps: { from: 2, to: 3 } };
  expect(codes([halves])).toEqual(['step_unused']);
});

test('from life the rules hold as they are', () => {
  expect(codes([lit(40), shadow(50)], { ruleWins: true, fromLife: true })).toEqual(['separation']);
  expect(codes([lit(), shadow(), cast(() => 21)], { ruleWins: true, fromLife: true })).toEqual(['black_hole']);
  expect(codes([lit(), shadow(), cast()], { ruleWins: true, fromLife: true })).toEqual([]);
});
