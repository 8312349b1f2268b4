/** Drafts the critique of a painting in few tones: first what works, then what to mend, heaviest first. */
import { type NumberingId, stepLabels } from '../exercise/numbering';
import type { Ends } from '../exercise/scale';
import type { NotanResult } from '../notan/result';
import type { Finding } from './finding';
import { massMends, massStrengths } from './mass-critique';
import { fix, percent, place, round2, toneName, works } from './notan-words';

/** Beside outlines this much agreement is a picture whose big shapes sit right. */
const SITS_RIGHT = 0.93;
/** A tone whose places vary less than this (L*) is flat. */
const FLAT = 3;
/** A whole picture further off than this (shares of its width or height) is told. */
const SHIFTED = 0.015;
/** A share of a tone further off than this is told. */
const SHARE_OFF = 0.06;
/** An end this much (L*) short of what the paint can do is told. */
const SHORT = 8;
/** More slivers than this are told. */
const FEW_SLIVERS = 2;
const MOST_REGIONS = 7;
/** Shapes whose widths differ less than this are all of a size; from this share on edges are ragged. */
const OF_A_SIZE = 0.5;
const RAGGED = 0.22;

function strengths(r: NotanResult): Finding[] {
  const painted = r.tones.filter((t) => t.spread !== null);
  return [
    ...((r.agreementTolerant ?? 0) >= SITS_RIGHT
      ? [
          works('big_shapes', 'The big shapes sit where the reference has them.', {
            agreement: round2(r.agreementTolerant ?? 0),
          }),
        ]
      : []),
    ...(painted.length === r.tones.length && painted.every((t) => (t.spread ?? 0) <= FLAT)
      ? [works('flat_tones', 'Each tone is one flat value.', { spread: painted.map((t) => round2(t.spread ?? 0)) })]
      : []),
    ...massStrengths(r),
    ...(r.regions.length === 0 && (r.shapes?.slivers ?? 0) === 0
      ? [
          works('decided', 'It is decided: no shape is left between two tones, none is too thin to read.', {
            slivers: 0,
          }),
        ]
      : []),
  ];
}

/** What is asked for beyond the tones themselves, and how it is put. */
export interface NotanAsks {
  /** Whether the lightest tone is to be used sparingly. */
  readonly whiteSparing?: boolean;
  /** How the class numbers its values; from white unless said. */
  readonly numbering?: NumberingId;
}

/** More than this share beyond the reference's is not sparing. */
const SPARING = 0.03;
/** Where fewer seams than this lie between their neighbours it is told. */
const MOST_SEAMS = 0.85;

/** What a five-value study is looked at for besides: the white last and little of it, seams between their neighbours. */
function studyMends(r: NotanResult, { whiteSparing }: NotanAsks): Finding[] {
  const out: Finding[] = [];
  const white = r.tones[0];
  // From life, more than its even share is not sparing.
  const due = white?.referenceShare ?? 1 / r.tones.length;
  if (whiteSparing && white && white.share > due + SPARING)
    out.push(
      fix({
        code: 'white_not_sparing',
        weight: white.share - due,
        evidence: { share: round2(white.share), referenceShare: round2(due) },
        say: `The lightest value takes ${percent(white.share)} of the picture${white.referenceShare === null ? '' : `, and the reference gives it ${percent(due)}`}.`,
        do: 'Keep it for last, and for the few places that are lightest of all.',
      }),
    );
  if (r.seams !== null && r.seams < MOST_SEAMS)
    out.push(
      fix({
        code: 'seams_stand_out',
        weight: 0.5 * (1 - r.seams),
        evidence: { between: round2(r.seams) },
        say: `Along ${percent(1 - r.seams)} of the seams there is a line or a gap that is lighter or darker than both sides.`,
        do: 'Bring the two values together until they touch, then mix the one in between for the seam.',
      }),
    );
  return out;
}

function mends(r: NotanResult, ends: Ends, asks: NotanAsks): Finding[] {
  const count = r.tones.length;
  const labels = stepLabels(asks.numbering ?? 'white-is-one', {
    steps: count,
    order: 'light-first',
    spacing: 'lightness',
    ends,
  });
  const flipped =
    r.reference !== 'picture'
      ? []
      : r.regions.slice(0, MOST_REGIONS).map((region) =>
          fix({
            code: 'flipped_shape',
            weight: Math.abs(region.drawn - region.wanted) * Math.sqrt(region.area) * (region.emphasis ?? 1),
            box: region.box,
            ...(region.shape !== undefined && { shape: region.shape }),
            evidence: { area: round2(region.area), drawn: region.drawn, wanted: region.wanted },
            say: `${region.shape === undefined ? `A shape ${place(region.box)}` : `“${region.shape}”`} is ${toneName(region.drawn, labels)}, and the reference has it ${toneName(region.wanted, labels)}.`,
            do: `Paint it ${toneName(region.wanted, labels)}, unless you lost that edge on purpose.`,
          }),
        );
  const out: Finding[] = [...flipped, ...massMends(r, ends, labels)];
  for (const t of r.tones) {
    if (t.lightness !== null) continue;
    const evidence = { tone: t.index, ...(t.referenceShare !== null && { referenceShare: round2(t.referenceShare) }) };
    out.push(
      fix({
        code: 'missing_tone',
        weight: Math.sqrt(t.referenceShare ?? 1 / count),
        evidence,
        say: `Of ${count} tones one is missing: ${toneName(t.index, labels)}.`,
        do:
          t.referenceShare === null
            ? 'Mix it between its neighbours, and look in the set-up for where it belongs.'
            : 'Mix it between its neighbours and put it where the reference has it.',
      }),
    );
  }
  const { x, y } = r.shift ?? { x: 0, y: 0 };
  if (Math.hypot(x, y) > SHIFTED) {
    const ways = [
      ...(Math.abs(x) > SHIFTED / 2 ? [`${percent(Math.abs(x))} to the ${x > 0 ? 'right' : 'left'}`] : []),
      ...(Math.abs(y) > SHIFTED / 2 ? [`${percent(Math.abs(y))} too ${y > 0 ? 'low' : 'high'}`] : []),
    ];
    out.push(
      fix({
        code: 'shifted',
        weight: 4 * Math.hypot(x, y),
        evidence: { x: round2(x), y: round2(y) },
        say: `The whole picture sits ${ways.join(' and ')}; its shapes are judged as if it did not.`,
        do: 'Next time mark the middle of each side before you draw.',
      }),
    );
  }
  const offs = r.tones.flatMap((t) =>
    t.referenceShare === null ? [] : [{ ...t, referenceShare: t.referenceShare, off: t.share - t.referenceShare }],
  );
  const most = offs.toSorted((a, b) => Math.abs(b.off) - Math.abs(a.off))[0];
  if (most && r.regions.length === 0 && Math.abs(most.off) > SHARE_OFF)
    out.push(
      fix({
        code: 'tone_share',
        weight: Math.abs(most.off),
        evidence: { tone: most.index, share: round2(most.share), referenceShare: round2(most.referenceShare) },
        say: `There is ${most.off > 0 ? 'more' : 'less'} of ${toneName(most.index, labels)} than in the reference: ${percent(most.share)} for ${percent(most.referenceShare)}.`,
        do: 'Look along its outlines: they all lean one way.',
      }),
    );
  const dark = r.tones.at(-1)?.lightness ?? null;
  const light = r.tones[0]?.lightness ?? null;
  // Where nothing of known lightness is in the picture the ends are taken for granted, unless a painted frame is the dark one.
  const calibrated = r.capture.mode === 'calibrated';
  const byFrame = r.frame?.isDarkEnd ?? false;
  const darkest = byFrame ? (r.frame?.lightness ?? ends.dark) : ends.dark;
  if ((calibrated || byFrame) && dark !== null && dark > darkest + SHORT)
    out.push(
      fix({
        code: 'grey_for_black',
        weight: (dark - darkest) / 50,
        evidence: {
          lightness: round2(dark),
          target: round2(darkest),
          ...(r.frame && { frame: round2(r.frame.lightness) }),
        },
        say:
          r.frame && r.frame.lightness < dark - SHORT
            ? 'The dark is a grey: the frame that you painted is darker.'
            : 'The dark is a grey: it could go further.',
        do: 'Paint the dark once more, with no white in it.',
      }),
    );
  if (calibrated) {
    if (light !== null && light < ends.light - SHORT)
      out.push(
        fix({
          code: 'grey_for_white',
          weight: (ends.light - light) / 50,
          evidence: { lightness: round2(light), target: ends.light },
          say: 'The light is a grey: it could go further.',
          do: 'Paint the light once more, with clean white and a clean brush.',
        }),
      );
  }
  const streaky = r.tones.filter((t) => (t.spread ?? 0) > 2 * FLAT);
  for (const t of streaky)
    out.push(
      fix({
        code: 'uneven_tone',
        weight: ((t.spread ?? 0) / 20) * Math.sqrt(t.share),
        evidence: { tone: t.index, spread: round2(t.spread ?? 0) },
        say: `The paint of ${toneName(t.index, labels)} is uneven: it reads as several values.`,
        do: 'A second coat, mixed through before it goes on.',
      }),
    );
  const slivers = r.shapes?.slivers ?? 0;
  if (slivers > FEW_SLIVERS)
    out.push(
      fix({
        code: 'slivers',
        weight: 0.05 * slivers,
        evidence: { slivers },
        say: `${slivers} shapes are too thin to read from across the room.`,
        do: 'Let each run into what lies beside it: a lost edge is no mistake.',
      }),
    );
  const variety = r.shapes?.variety ?? null;
  if (variety !== null && variety < OF_A_SIZE)
    out.push(
      fix({
        code: 'sizes_alike',
        weight: 0.4 * (1 - variety),
        evidence: { variety: round2(variety) },
        say: 'Its shapes are all about the same size: nothing leads.',
        do: 'Join some into one large shape, keep a few small ones, and let one be the largest by far.',
      }),
    );
  const ragged = r.shapes?.ragged ?? 0;
  if (ragged > RAGGED && (r.shapes?.slivers ?? 0) <= FEW_SLIVERS)
    out.push(
      fix({
        code: 'ragged_edges',
        weight: 0.3 * ragged,
        evidence: { ragged: round2(ragged) },
        say: `${percent(ragged)} of the edges are ragged: the eye stops at them.`,
        do: 'Draw the brush along each edge once more, slowly, in one go.',
      }),
    );
  return [...out, ...studyMends(r, asks)].sort((a, b) => b.weight - a.weight);
}

/** The draft: what works first, then what to mend. The same measurement always gets the same draft. */
export function critiqueNotan(result: NotanResult, ends: Ends, asks: NotanAsks = {}): Finding[] {
  if (result.tones.length === 0) return [];
  return [...strengths(result), ...mends(result, ends, asks)];
}
