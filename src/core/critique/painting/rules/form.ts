/** Rules of form that a painting breaks: each is told once an object, by what it is about. */
import { objectOf } from '../../../tones/mass';
import { ofShape, PICTURE, type Rule } from '../../rule';
import type { BrokenForm, FormFacts, MassRead, PaintingFacts, PaintingReading } from '../facts';

/** Told of at the most. */
const MOST = 5;

/** What breaking a rule weighs, in steps over the share of the picture that it is about: light and shadow carry all the rest. */
const WEIGHT: Record<BrokenForm['code'], number> = {
  separation: 1.5,
  reflected_light: 1,
  not_joined: 0.7,
  cast_not_lightening: 0.5,
  cast_edge_hard: 0.4,
  black_hole: 0.8,
  counterchange: 0.8,
  highlight_order: 0.5,
  overlap_not_darker: 0.5,
  outside_steps: 1,
  step_unused: 0.4,
  edges_alike: 0.3,
};
/** A rule about all of the picture weighs as much as one about this share of it. */
const WHOLE_AREA = 0.09;
const OF_ALL: readonly BrokenForm['code'][] = ['edges_alike', 'step_unused'];

const round2 = (v: number) => Math.round(v * 100) / 100;

const weightOf = ({ code, box }: BrokenForm): number =>
  WEIGHT[code] * Math.sqrt(OF_ALL.includes(code) ? WHOLE_AREA : box.width * box.height);

const formBroken: Rule<'form_broken', PaintingReading, FormFacts> = {
  code: 'form_broken',
  kind: 'fix',
  reads: ({ result: { rules } }) =>
    rules.map((rule) => ({
      subject: ofShape(`${rule.code} ${rule.id}`, OF_ALL.includes(rule.code) ? undefined : rule.names[0], rule.box),
      facts: { rule },
    })),
  tells: () => true,
  most: MOST,
  weight: ({ rule }) => weightOf(rule),
  evidence: ({ rule }) => ({ value: round2(rule.value), limit: round2(rule.limit) }),
  source:
    'the reference keeps the rule plainly where the painting does not, so that neither hand nor camera can be what is told',
};

/** Whether the light of a shadow's object is known too: without it nothing was asked. */
const hasLight = (shadow: MassRead, all: readonly MassRead[]) =>
  all.some((s) => s.part === 'lit' && objectOf(s) === objectOf(shadow));

const formHolds: Rule<'form_holds', PaintingReading, PaintingFacts['form_holds']> = {
  code: 'form_holds',
  kind: 'works',
  reads: ({ result: { fromLife, shapes, rules } }) =>
    fromLife && rules.length === 0 && shapes.some((s) => s.part === 'shadow' && hasLight(s, shapes))
      ? [{ subject: PICTURE, facts: { shapes: shapes.length } }]
      : [],
  tells: () => true,
  weight: () => 0,
  evidence: ({ shapes }) => ({ shapes }),
  source: 'nothing that is asked of the masses is broken, and there is no reference beside which more could be told',
};

export const FORM_RULES = { form_holds: formHolds, form_broken: formBroken } as const;
