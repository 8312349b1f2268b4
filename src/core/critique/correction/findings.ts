/** Each layer of a correction as a finding: what is to be mended, as the teacher showed it. */
import { type Layer, maskBox } from '../../correction/layer';
import { type ShareBox, shareInside } from '../../geometry/share-box';
import type { Finding } from '../finding';
import { findingOf, ofShape, type Rule, type Rules, type Told } from '../rule';
import { inTurn, type Voice } from '../voice';
import type { CorrectionFacts } from './facts';
import { CORRECTION_WORDS } from './words';

/** What a layer is held against to be spoken of. */
export interface CorrectedOf {
  /** What a step of the exercise is, L*. */
  readonly step: number;
  /** The values that the class has words for. */
  readonly values: readonly { readonly label: string; readonly lightness: number }[];
  /** Shapes of the picture that have names, and where each is. */
  readonly shapes: readonly { readonly name: string; readonly box: ShareBox }[];
}

/** All that is told is what the teacher drew: no rule looks for it, and nothing of it is weighed against what was measured. */
const shown = <C extends keyof CorrectionFacts>(
  code: C,
  evidence: (facts: CorrectionFacts[C]) => Finding['evidence'],
): Rule<C, never, CorrectionFacts[C]> => ({
  ...{ code, kind: 'fix', evidence },
  reads: () => [],
  tells: () => true,
  weight: () => 0,
  source: 'The teacher showed it on the picture.',
});

export const CORRECTION_RULES: Rules<never, CorrectionFacts> = {
  corrected_lightness: shown('corrected_lightness', ({ by, steps }) => ({ change: by, changeSteps: steps })),
  corrected_edge: shown('corrected_edge', () => ({})),
  corrected_glaze: shown('corrected_glaze', ({ mm }) => ({ mm })),
  corrected_place: shown('corrected_place', ({ dx, dy, turn }) => ({ dx, dy, degrees: turn })),
  corrected_shape: shown('corrected_shape', ({ lightness }) => ({ newLightness: lightness })),
};

/** So much of a mask and of a shape are one box before the shape's name is the mask's. */
const SAME = 0.6;

/** A shape of the picture that a mask covers; null where it covers none. */
function nameIn(box: ShareBox, { shapes }: CorrectedOf): string | null {
  const area = (b: ShareBox) => b.width * b.height;
  const alike = (b: ShareBox) =>
    shareInside(box, b) * (Math.min(area(box), area(b)) / Math.max(1e-9, Math.max(area(box), area(b))));
  const best = [...shapes].sort((a, b) => alike(b.box) - alike(a.box))[0];
  return best && alike(best.box) >= SAME ? best.name : null;
}

/** The class's word for the value that is nearest; null where there is none within half a step. */
function stepAt(lightness: number, { values, step }: CorrectedOf): string | null {
  const off = (v: { readonly lightness: number }) => Math.abs(v.lightness - lightness);
  const nearest = [...values].sort((a, b) => off(a) - off(b))[0];
  return nearest && off(nearest) <= step / 2 ? nearest.label : null;
}

/** What a layer says; null where it covers nothing, or where it changes nothing. */
function toldOf({ id, name, mask, change }: Layer, of: CorrectedOf): Told<CorrectionFacts> | null {
  const box = maskBox(mask);
  if (!box) return null;
  const own = name.trim() || nameIn(box, of);
  const at = { name: own, box };
  const told = <C extends keyof CorrectionFacts>(code: C, facts: CorrectionFacts[C]): Told<CorrectionFacts> => ({
    ...{ key: `${code} shape ${id}`, code, kind: 'fix', weight: 0 },
    subject: ofShape(id, own ?? undefined, box),
    facts,
  });
  switch (change.kind) {
    case 'lightness':
      return change.by === 0 ? null : told('corrected_lightness', { ...at, by: change.by, steps: change.by / of.step });
    case 'soften':
      return told('corrected_edge', at);
    case 'glaze':
      return told('corrected_glaze', { ...at, paint: change.paint, mm: change.mm });
    case 'move': {
      const { dx, dy, wider, taller, turn } = change;
      return told('corrected_place', { ...at, dx, dy, wider, taller, turn });
    }
    case 'shape':
      return told('corrected_shape', { ...at, lightness: change.lightness, step: stepAt(change.lightness, of) });
  }
}

/** Findings of a correction, in the order of its layers. */
export function correctionFindings(layers: readonly Layer[], of: CorrectedOf, voice: Voice): Finding[] {
  const spoken = { rules: CORRECTION_RULES, words: CORRECTION_WORDS[voice.register], names: {}, voice };
  const told = layers.flatMap((layer) => toldOf(layer, of) ?? []);
  return inTurn(told, (t) => t.code).map(({ one, turn }) => findingOf(spoken, one, turn));
}
