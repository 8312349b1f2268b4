/** Looks in mid-work: where a mark lies, and what is said of it. */
import { type ScaleResult } from '../scale/result';
import { sampleScale, sampleSteps } from '../scale/sample-result';
import { judgeLook, lookOf, stepAt } from './judge-look';
import { sayMark, sayMissed } from './look-words';
import { type LookCell, lookMarksSchema, type StoredLook, storedLookSchema } from './stored-look';

const TARGETS = [90, 70, 50, 30];
const column = (i: number): LookCell => ({
  step: i + 1,
  rings: [
    [
      [i / 4, 0.1],
      [(i + 1) / 4 - 0.02, 0.1],
      [(i + 1) / 4 - 0.02, 0.9],
      [i / 4, 0.9],
    ],
  ],
});
const CELLS = TARGETS.map((_, i) => column(i));

/** A measurement of four steps that read as given; `bare` is what stayed unpainted, null where it can't be told. */
function measured(
  lightness: readonly number[],
  bare: readonly (number | null)[] = lightness.map(() => 0),
): ScaleResult {
  const own = Object.fromEntries(bare.map((bareGround, i) => [i + 1, { bareGround }]));
  return sampleScale(sampleSteps({ targets: TARGETS, lightness, own }));
}
const look = (lightness: readonly number[], bare?: readonly (number | null)[]): StoredLook =>
  lookOf(measured(lightness, bare), { toleranceSteps: 0.5 }, CELLS, 4);
const at = (x: number, y = 0.5) => ({ x, y });

test('what is kept of a look reads back as it was, and knows its tolerance', () => {
  const kept = look(TARGETS);
  expect(storedLookSchema.parse(JSON.parse(JSON.stringify(kept)))).toEqual(kept);
  expect(kept).toMatchObject({ stepSize: 20, tolerance: 10, relative: false });
  expect(() => storedLookSchema.parse({ ...kept, version: 2 })).toThrow();
  expect(() => lookOf({ ...measured(TARGETS), steps: [] }, { toleranceSteps: 0.5 }, CELLS, 4)).toThrow(RangeError);
});

test('a mark lies on the step whose outline holds it, in no hole and in no gap', () => {
  const kept = look(TARGETS);
  expect([at(0.1), at(0.3), at(0.99), at(0.1, 0.95)].map((m) => stepAt(kept, m))).toEqual([1, 2, null, null]);
  const ring: LookCell = {
    step: 2,
    rings: [
      [
        [0, 0],
        [1, 0],
        [1, 1],
        [0, 1],
      ],
      [
        [0.4, 0.4],
        [0.6, 0.4],
        [0.6, 0.6],
        [0.4, 0.6],
      ],
    ],
  };
  const lamp: LookCell = {
    step: 1,
    rings: [
      [
        [0.4, 0.4],
        [0.6, 0.4],
        [0.6, 0.6],
        [0.4, 0.6],
      ],
    ],
  };
  expect([at(0.5), at(0.2)].map((m) => stepAt({ cells: [ring, lamp] }, m))).toEqual([1, 2]);
});

test('off, right, too near to tell, and not painted are four things', () => {
  const words = (lightness: readonly number[], bare?: readonly (number | null)[]) =>
    judgeLook(look(lightness, bare), [at(0.1), at(0.3), at(0.6)]).marks.map((m) => m?.word);
  expect(words([90, 70 + 14, 50 - 15, 30])).toEqual(['right', 'off', 'off']);
  // The tolerance is 10: a little to either side of it the picture can't tell.
  expect(words([90, 70 + 11, 50 - 9, 30])).toEqual(['right', 'edge', 'edge']);
  expect(words([90, 95, 95, 95], [null, null, 0.9, null])).toEqual(['right', 'unpainted', 'unpainted']);
});

test('what nobody marked and is off is told as well, unpainted steps are not', () => {
  const { marks, missed } = judgeLook(look([90, 90, 50 - 16, 95], [0, 0, 0, null]), [at(0.3)]);
  expect(marks.map((m) => [m?.step, m?.word])).toEqual([[2, 'off']]);
  expect(missed.map((m) => [m.step, m.error])).toEqual([[3, -16]]);
});

test('words say how far in steps and which way, without figures', () => {
  const nameOf = (step: number) => `Step ${step}`;
  expect(sayMark({ step: 2, word: 'off', error: 12 }, 'Step 2', 20)).toBe(
    'You saw it: Step 2 is about half a step too light.',
  );
  expect(sayMark({ step: 2, word: 'off', error: -6 }, 'Step 2', 20)).toContain('a touch too dark');
  expect(sayMark({ step: 2, word: 'off', error: 29 }, 'Step 2', 20)).toContain('about a step too light');
  expect(sayMark({ step: 2, word: 'off', error: -50 }, 'Step 2', 20)).toContain('about 3 steps too dark');
  expect(sayMark({ step: 2, word: 'right', error: 1 }, 'Step 2', 20)).toContain('measures as it should');
  expect(sayMark({ step: 2, word: 'edge', error: 10 }, 'Step 2', 20)).toContain('can’t tell');
  expect(sayMark({ step: 2, word: 'unpainted', error: 40 }, 'Step 2', 20)).toContain('not painted yet');
  expect(sayMark(null, '', 20)).toContain('between the steps');
  expect(sayMissed([], nameOf, 20)).toBe('Nothing else is off.');
  expect(
    sayMissed(
      [
        { step: 3, word: 'off', error: -20 },
        { step: 4, word: 'off', error: 21 },
      ],
      nameOf,
      20,
    ),
  ).toBe('The measurement would have marked Step 3 (about a step too dark), Step 4 (about a step too light) as well.');
});

test('up to three marks, all of them on the picture', () => {
  expect(lookMarksSchema.safeParse([at(0), at(1), at(0.5)]).success).toBe(true);
  expect(lookMarksSchema.safeParse([at(0), at(1), at(0.5), at(0.6)]).error?.issues[0]?.message).toBe(
    'Mark up to 3 places.',
  );
  expect(lookMarksSchema.safeParse([at(1.2)]).success).toBe(false);
});
