/** What is said of a painting in few tones, from what was measured of it. */
import { keyedEnds } from '../../exercise/key';
import type { NumberingId } from '../../exercise/numbering';
import { type NotanResult, notanResultSchema } from '../../notan/result';
import { sampleMass, sampleNotan } from '../../notan/sample-result';
import { findingSchema } from '../finding';
import { critiqueTones } from './critique';

const ends = { light: 95, dark: 24 };
const { box } = sampleMass('anything');
const codes = (result: NotanResult) => critiqueTones(result, ends).map((f) => f.code);

test('a good one is praised for what it measured, and nothing is to be mended', () => {
  const findings = critiqueTones(sampleNotan(), ends);
  expect(findings.map((f) => [f.kind, f.code])).toEqual([
    ['works', 'big_shapes'],
    ['works', 'flat_tones'],
    ['works', 'decided'],
  ]);
  findings.forEach((f) => expect(findingSchema.parse(f)).toEqual(f));
});

test('a flipped shape is told by place and tone, the heaviest first', () => {
  const region = (x: number, area: number) => ({
    id: String(x),
    box: { x, y: 0.1, width: 0.2, height: 0.2 },
    area,
    drawn: 2,
    wanted: 1,
  });
  const fixes = critiqueTones(sampleNotan({ regions: [region(0.05, 0.02), region(0.7, 0.09)] }), ends).filter(
    (f) => f.kind === 'fix',
  );
  expect(fixes.map((f) => f.where.box?.x)).toEqual([0.7, 0.05]);
  expect(fixes[0]?.say).toBe('A shape at the top right is dark, and the reference has it light.');
  expect(fixes[0]?.do).toContain('unless you lost that edge on purpose');
});

test('tones between light and dark are told in the numbers of the class', () => {
  const tones = [95, 70, 45, 24].map((lightness, i) => ({
    index: i + 1,
    share: 0.25,
    referenceShare: 0.25,
    lightness,
    spread: 1,
  }));
  const flipped = sampleNotan({
    tones,
    regions: [{ id: '4.4', box: { x: 0.1, y: 0.1, width: 0.2, height: 0.2 }, area: 0.05, drawn: 3, wanted: 2 }],
  });
  const said = (numbering?: NumberingId) =>
    critiqueTones(flipped, ends, numbering && { numbering }).find((f) => f.code === 'flipped_shape');
  expect(said()?.say).toBe('A shape at the top left is the third tone, and the reference has it the second tone.');
  expect(said('black-is-one')?.say).toBe(
    'A shape at the top left is the second tone, and the reference has it the third tone.',
  );
  expect(said('percent-black')?.do).toContain('Paint it tone 33 %');
  // Whatever the class calls them, the places in the measurement stay as they are.
  expect(said('black-is-one')?.evidence).toEqual({ area: 0.05, drawn: 3, wanted: 2 });
});

test('a picture that sits off is told once, with how far', () => {
  const [finding] = critiqueTones(sampleNotan({ shift: { x: 0.04, y: -0.02 } }), ends).filter((f) => f.kind === 'fix');
  expect(finding?.say).toBe(
    'The whole picture sits clearly to the right and a little too high; its shapes are judged as if it did not.',
  );
});

test('grey for black is told where white is known, and not where the ends are taken for granted', () => {
  const grey = sampleNotan({ tones: sampleNotan().tones.map((t) => (t.index === 2 ? { ...t, lightness: 41 } : t)) });
  expect(codes(grey)).toContain('grey_for_black');
  expect(codes({ ...grey, capture: { ...grey.capture, mode: 'relative' } })).not.toContain('grey_for_black');
});

test('a study in a high key is held against its own key, and not asked for a darker dark', () => {
  const tones = [
    { index: 1, share: 0.4, referenceShare: 0.4, lightness: 94, spread: 1 },
    { index: 2, share: 0.6, referenceShare: 0.6, lightness: 54, spread: 1 },
  ];
  expect(codes(sampleNotan({ tones }))).toContain('grey_for_black');
  const { light, dark } = keyedEnds(ends, 'high');
  expect(codes(sampleNotan({ tones, targets: [light, dark] }))).not.toContain('grey_for_black');
});

test('a tone that is missing, uneven paint, slivers and a share that is off are each told', () => {
  expect(
    codes(
      sampleNotan({
        tones: [...sampleNotan().tones, { index: 3, share: 0, referenceShare: 0.2, lightness: null, spread: null }],
      }),
    ),
  ).toContain('missing_tone');
  expect(codes(sampleNotan({ tones: sampleNotan().tones.map((t) => ({ ...t, spread: 7 })) }))).toContain('uneven_tone');
  expect(codes(sampleNotan({ shapes: { ...sampleNotan().shapes!, slivers: 5 } }))).toContain('slivers');
  expect(
    codes(sampleNotan({ tones: sampleNotan().tones.map((t, i) => ({ ...t, share: i === 0 ? 0.52 : 0.48 })) })),
  ).toContain('tone_share');
});

test('of what could not be read nothing is said', () => {
  expect(critiqueTones(sampleNotan({ tones: [] }), ends)).toEqual([]);
});

test('ragged edges and shapes all of a size are told, calm edges and many sizes are not', () => {
  const shapes = (more: object) => sampleNotan({ shapes: { ...sampleNotan().shapes!, ...more } });
  expect(codes(shapes({ ragged: 0.3 }))).toContain('ragged_edges');
  expect(codes(shapes({ ragged: 0.16 }))).not.toContain('ragged_edges');
  expect(codes(shapes({ variety: 0.3 }))).toContain('sizes_alike');
  expect(codes(shapes({ variety: 0.8 }))).not.toContain('sizes_alike');
});

test('a five-value study: white that is not sparing, seams that stand out, and neither where nobody asks or where it is right', () => {
  const five = sampleNotan({
    tones: [0.2, 0.2, 0.2, 0.2, 0.2].map((share, k) => ({
      index: k + 1,
      share,
      referenceShare: k === 0 ? 0.1 : 0.225,
      lightness: 94 - 17 * k,
      spread: 1,
    })),
    seams: 0.6,
  });
  const of = (r: NotanResult, whiteSparing: boolean) => critiqueTones(r, ends, { whiteSparing }).map((f) => f.code);
  expect(of(five, true)).toEqual(expect.arrayContaining(['white_not_sparing', 'seams_stand_out']));
  expect(of(five, false)).not.toContain('white_not_sparing');
  expect(of({ ...five, seams: 0.95 }, true)).not.toContain('seams_stand_out');
});

test('where a darker frame was painted the grey that should be black is held against it', () => {
  const grey = sampleNotan({
    frame: { lightness: 22, isDarkEnd: false },
    tones: [sampleNotan().tones[0]!, { ...sampleNotan().tones[1]!, lightness: 45 }],
  });
  expect(critiqueTones(grey, ends).find((f) => f.code === 'grey_for_black')?.say).toContain(
    'the frame that you painted is darker',
  );
});

test('a painted frame that stands for the dark end is what the dark is held against, calibrated or not', () => {
  const relative = { ...sampleNotan().capture, mode: 'relative' as const };
  const grey = (isDarkEnd: boolean) =>
    sampleNotan({
      capture: relative,
      frame: { lightness: 24, isDarkEnd },
      tones: [sampleNotan().tones[0]!, { ...sampleNotan().tones[1]!, lightness: 40 }],
    });
  expect(codes(grey(true))).toContain('grey_for_black');
  expect(codes(grey(false))).not.toContain('grey_for_black');
});

/** From life: nothing to agree with. */
const fromLife = (more: Partial<NotanResult>) =>
  sampleNotan({
    reference: 'masses',
    agreement: null,
    agreementTolerant: null,
    agreementAligned: null,
    kappa: null,
    shift: null,
    tones: [94, 60, 25].map((lightness, k) => ({
      index: k + 1,
      share: 1 / 3,
      referenceShare: null,
      lightness,
      spread: 1,
    })),
    ...more,
  });
test('from life, nothing is said of a reference', () => {
  const findings = critiqueTones(
    fromLife({
      tones: [
        { index: 1, share: 0.4, referenceShare: null, lightness: 94, spread: 1 },
        { index: 2, share: 0.6, referenceShare: null, lightness: null, spread: null },
      ],
    }),
    ends,
    { whiteSparing: true },
  );
  expect(findings.map((f) => f.code)).toContain('missing_tone');
  findings.forEach((f) => expect(`${f.say} ${f.do}`).not.toContain('reference'));
});

test('a mass that lies outside its steps is told as a person would, with how much of it and where it belongs', () => {
  const strayed = (share: number) =>
    fromLife({
      masses: [
        sampleMass('jug > lit side', { steps: { from: 1, to: 2 }, inside: 1 - share, outside: { tone: 3, share } }),
      ],
    });
  const [worst] = critiqueTones(strayed(0.5), ends).filter((f) => f.kind === 'fix');
  expect(codes(strayed(0.05))).not.toContain('outside_steps');
  expect(worst).toMatchObject({
    code: 'outside_steps',
    where: { shape: 'jug > lit side', box },
    say: 'About half of the lit side of the jug is dark; it belongs to the light or the middle tone.',
    do: 'Paint it the middle tone.',
  });
});

test('light and shadow of one object that cross are told once, and not where the picture itself has it so', () => {
  const pair = (separation: number, wanted: number | null) => ({
    object: 'jug',
    lit: ['jug > lit side'],
    shadow: ['jug > shadow'],
    separation,
    wanted,
  });
  const both = [sampleMass('jug > lit side', { part: 'lit' }), sampleMass('jug > shadow', { part: 'shadow' })];
  const said = (pairs: NotanResult['pairs'], regions: NotanResult['regions'] = []) =>
    codes(fromLife({ masses: both, pairs, regions }));
  expect(said([pair(-35, null)])).toContain('pair_crossed');
  expect(said([pair(0, null)])).not.toContain('pair_crossed');
  expect(codes(sampleNotan({ masses: both, pairs: [pair(-35, -35)] }))).not.toContain('pair_crossed');
  expect(codes(sampleNotan({ masses: both, pairs: [pair(-35, 35)] }))).toContain('pair_crossed');
  expect(
    codes(
      sampleNotan({
        masses: both,
        pairs: [pair(-35, 35)],
        regions: [{ id: '4.6', box, area: 0.1, drawn: 1, wanted: 2, shape: 'jug > shadow' }],
      }),
    ),
  ).not.toContain('pair_crossed');
  expect(
    critiqueTones(fromLife({ masses: both, pairs: [pair(34, null)] }), ends).find((f) => f.code === 'pairs_hold')?.say,
  ).toBe('On the jug all of the light is lighter than all of the shadow.');
});

test('an overlap of two shadows that is lighter than one of them is told; masses that keep to their steps are praised', () => {
  const masses = [
    sampleMass('table > double shadow', { steps: { from: 3, to: 3 }, inside: 1 }),
    sampleMass('table > single shadow', { steps: { from: 2, to: 2 }, inside: 0.97 }),
  ];
  const findings = critiqueTones(
    fromLife({ masses, overlaps: [{ name: 'table > double shadow', than: 'table > single shadow', by: 30 }] }),
    ends,
  );
  expect(findings.find((f) => f.code === 'overlap_lighter')?.say).toContain(
    'The double shadow of the table is lighter than the single shadow of the table',
  );
  expect(findings.map((f) => f.code)).toContain('in_their_steps');
});

test('a result that was stored before masses were told still opens', () => {
  const { reference, masses, pairs, overlaps, ...before } = { ...sampleNotan(), frame: { lightness: 20 } };
  expect([reference, masses, pairs, overlaps]).toEqual(['picture', [], [], []]);
  expect(notanResultSchema.parse(before)).toEqual({ ...sampleNotan(), frame: { lightness: 20, isDarkEnd: false } });
});
