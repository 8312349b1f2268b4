/** Rules about the picture as a whole: where its shapes sit, what they are made of. */
import { SHIFTED } from '../naming';
import { ofShape, ofTone, PICTURE, type Rule } from '../rule';
import type { ToneFacts, ToneReading } from './facts';

/** Beside outlines this much agreement is a picture whose big shapes sit right. */
const SITS_RIGHT = 0.93;
/** A share of a tone further off than this is told. */
const SHARE_OFF = 0.06;
/** More slivers than this are told. */
const FEW_SLIVERS = 2;
/** Flipped shapes told of at the most, the largest. */
const MOST_REGIONS = 7;
/** Shapes whose widths differ less than this are all of a size; from this share on edges are ragged. */
const OF_A_SIZE = 0.5;
const RAGGED = 0.22;

const round2 = (v: number) => Math.round(v * 100) / 100;

type ToneRule<C extends keyof ToneFacts> = Rule<C, ToneReading, ToneFacts[C]>;

const bigShapes: ToneRule<'big_shapes'> = {
  code: 'big_shapes',
  kind: 'works',
  reads: ({ result }) => [{ subject: PICTURE, facts: { agreement: result.agreementTolerant ?? 0 } }],
  tells: ({ agreement }) => agreement >= SITS_RIGHT,
  weight: () => 0,
  evidence: ({ agreement }) => ({ agreement: round2(agreement) }),
  source: 'what remains is no wider than a stray outline, by simulated hands',
};

const decided: ToneRule<'decided'> = {
  code: 'decided',
  kind: 'works',
  reads: ({ result }) => [
    { subject: PICTURE, facts: { regions: result.regions.length, slivers: result.shapes?.slivers ?? 0 } },
  ],
  tells: ({ regions, slivers }) => regions === 0 && slivers === 0,
  weight: () => 0,
  evidence: () => ({ slivers: 0 }),
  source: 'nothing flipped and nothing too thin',
};

const flippedShape: ToneRule<'flipped_shape'> = {
  code: 'flipped_shape',
  kind: 'fix',
  // A painting from life has no picture to be flipped against: its masses are told by their steps.
  reads: ({ result }) =>
    result.reference !== 'picture'
      ? []
      : result.regions
          .slice(0, MOST_REGIONS)
          .map((region) => ({ subject: ofShape(region.id, region.shape, region.box), facts: region })),
  tells: () => true,
  weight: ({ drawn, wanted, area, emphasis }) => Math.abs(drawn - wanted) * Math.sqrt(area) * (emphasis ?? 1),
  evidence: ({ area, drawn, wanted }) => ({ area: round2(area), drawn, wanted }),
  source: 'wider than two hundredths of the longer side: more than an outline that strays',
};

const shifted: ToneRule<'shifted'> = {
  code: 'shifted',
  kind: 'fix',
  reads: ({ result: { shift } }) => (shift ? [{ subject: PICTURE, facts: shift }] : []),
  tells: ({ x, y }) => Math.hypot(x, y) > SHIFTED,
  // A shift of a quarter of the picture is as bad as a whole tone everywhere.
  weight: ({ x, y }) => 4 * Math.hypot(x, y),
  evidence: ({ x, y }) => ({ x: round2(x), y: round2(y) }),
  source: 'about the width of a pencil line and a hand on paper of a hand sheet',
};

const toneShare: ToneRule<'tone_share'> = {
  code: 'tone_share',
  kind: 'fix',
  // Where a shape is flipped that says it; else all outlines lean one way.
  reads: ({ result: { tones, regions } }) => {
    if (regions.length > 0) return [];
    const compared = tones.flatMap(({ index, share, referenceShare }) =>
      referenceShare === null ? [] : [{ tone: index, share, referenceShare }],
    );
    const off = (t: (typeof compared)[number]) => Math.abs(t.share - t.referenceShare);
    const most = compared.toSorted((a, b) => off(b) - off(a))[0];
    return most ? [{ subject: ofTone(most.tone), facts: most }] : [];
  },
  tells: ({ share, referenceShare }) => Math.abs(share - referenceShare) > SHARE_OFF,
  weight: ({ share, referenceShare }) => Math.abs(share - referenceShare),
  evidence: ({ tone, share, referenceShare }) => ({
    tone,
    share: round2(share),
    referenceShare: round2(referenceShare),
  }),
  source: 'three times what outlines off by four thousandths add up to',
};

const slivers: ToneRule<'slivers'> = {
  code: 'slivers',
  kind: 'fix',
  reads: ({ result: { shapes } }) => (shapes ? [{ subject: PICTURE, facts: { slivers: shapes.slivers } }] : []),
  tells: (facts) => facts.slivers > FEW_SLIVERS,
  // A tenth of a flipped shape each: seen second.
  weight: (facts) => 0.05 * facts.slivers,
  evidence: (facts) => ({ slivers: facts.slivers }),
  source: 'thinner than two minutes of arc from three metres',
};

const sizesAlike: ToneRule<'sizes_alike'> = {
  code: 'sizes_alike',
  kind: 'fix',
  reads: ({ result: { shapes } }) =>
    shapes && shapes.variety !== null ? [{ subject: PICTURE, facts: { variety: shapes.variety } }] : [],
  tells: ({ variety }) => variety < OF_A_SIZE,
  weight: ({ variety }) => 0.4 * (1 - variety),
  evidence: ({ variety }) => ({ variety: round2(variety) }),
  source: 'one large shape, a few of middle size, very few small ones differ by more',
};

const raggedEdges: ToneRule<'ragged_edges'> = {
  code: 'ragged_edges',
  kind: 'fix',
  reads: ({ result: { shapes } }) =>
    shapes ? [{ subject: PICTURE, facts: { ragged: shapes.ragged, slivers: shapes.slivers } }] : [],
  // Slivers are ragged all along: told as slivers.
  tells: (facts) => facts.ragged > RAGGED && facts.slivers <= FEW_SLIVERS,
  weight: ({ ragged }) => 0.3 * ragged,
  evidence: ({ ragged }) => ({ ragged: round2(ragged) }),
  source: 'simulated hands that stray by half a hundredth stay below it',
};

export const PICTURE_RULES = {
  big_shapes: bigShapes,
  decided,
  flipped_shape: flippedShape,
  shifted,
  tone_share: toneShare,
  slivers,
  sizes_alike: sizesAlike,
  ragged_edges: raggedEdges,
} as const;
