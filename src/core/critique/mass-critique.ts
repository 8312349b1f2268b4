/** What is said of named masses: steps that they were allotted, light and shadow of one object, overlaps of several shadows. */
import type { Ends } from '../exercise/scale';
import type { NotanResult } from '../notan/result';
import type { Finding } from './finding';
import { fix, percent, round2, toneName, works } from './notan-words';

/** A shadow that is lighter (L*) than the light of its object by less is no doubt of the eye. */
const CROSSED = 1;
/** So much of a mass in its steps is a mass that keeps to them, and so many masses make it worth saying. */
const KEPT = 0.95;
const SEVERAL = 2;
/** A mass that strays from its steps by less, as a share of it and of the picture, is the student's choice. */
const MUCH = 0.1;
const LEAST = 0.003;

const quoted = (names: readonly string[]) => names.map((n) => `“${n}”`).join(' and ');
const given = ({ from, to }: { readonly from: number; readonly to: number }, labels: readonly string[]) =>
  from === to ? toneName(from, labels) : `${toneName(from, labels)} to ${toneName(to, labels)}`;

/** A box round several. */
function round(boxes: readonly NonNullable<Finding['where']['box']>[]): Finding['where']['box'] {
  if (boxes.length === 0) return undefined;
  const [x, y] = [Math.min(...boxes.map((b) => b.x)), Math.min(...boxes.map((b) => b.y))];
  return {
    x,
    y,
    width: Math.max(...boxes.map((b) => b.x + b.width)) - x,
    height: Math.max(...boxes.map((b) => b.y + b.height)) - y,
  };
}

export function massStrengths({ masses, pairs }: NotanResult): Finding[] {
  const allotted = masses.filter((m) => m.inside !== null);
  return [
    ...(pairs.length > 0 && pairs.every((p) => p.separation > CROSSED)
      ? [
          works(
            'pairs_hold',
            pairs.length === 1
              ? `On the ${pairs[0]?.object} all of the light is lighter than all of the shadow.`
              : 'On every object all of the light is lighter than all of the shadow.',
            { separation: pairs.map((p) => round2(p.separation)) },
          ),
        ]
      : []),
    ...(allotted.length >= SEVERAL && allotted.every((m) => (m.inside ?? 0) >= KEPT)
      ? [
          works('in_their_steps', 'Each mass keeps to the steps that it was given.', {
            inside: allotted.map((m) => round2(m.inside ?? 0)),
          }),
        ]
      : []),
  ];
}

/** Masses that a person painted on the picture, where too much lies outside their steps: said once for a mass, however many parts it is in. */
function outside({ reference, regions, masses }: NotanResult, labels: readonly string[]): Finding[] {
  if (reference !== 'masses') return [];
  return masses.flatMap((mass) => {
    if (!mass.steps || !mass.outside || mass.outside.share < MUCH || mass.outside.share * mass.share < LEAST) return [];
    const { tone, share } = mass.outside;
    const wanted = Math.min(mass.steps.to, Math.max(mass.steps.from, tone));
    return [
      fix({
        code: 'outside_steps',
        weight: Math.abs(tone - wanted) * Math.sqrt(share * mass.share) * mass.emphasis,
        box: regions.find((region) => region.shape === mass.name)?.box ?? mass.box,
        shape: mass.name,
        evidence: { area: round2(share * mass.share), drawn: tone, from: mass.steps.from, to: mass.steps.to },
        say: `${percent(share)} of “${mass.name}” is ${toneName(tone, labels)}, and it was given ${given(mass.steps, labels)}.`,
        do: `Paint it ${toneName(wanted, labels)}.`,
      }),
    ];
  });
}

export function massMends(r: NotanResult, ends: Ends, labels: readonly string[]): Finding[] {
  const step = (ends.light - ends.dark) / Math.max(1, r.tones.length - 1);
  const out = outside(r, labels);
  const told = new Set([...r.regions.map((region) => region.shape), ...out.map((f) => f.where.shape)]);
  for (const { object, lit, shadow, separation, wanted } of r.pairs) {
    // What the picture itself has so is no mistake, and what was said of a shape is not said again.
    if (separation >= Math.min(0, wanted ?? 0) - CROSSED || [...lit, ...shadow].some((name) => told.has(name)))
      continue;
    const own = r.masses.filter((m) => lit.includes(m.name) || shadow.includes(m.name));
    const box = round(own.map((m) => m.box));
    out.push(
      fix({
        code: 'pair_crossed',
        weight:
          (-separation / step) *
          Math.sqrt(own.reduce((s, m) => s + m.share, 0)) *
          Math.max(...own.map((m) => m.emphasis)),
        ...(box && { box }),
        shape: object,
        evidence: { separation: round2(separation), ...(wanted !== null && { wanted: round2(wanted) }) },
        say: `On the ${object} some of the shadow is lighter than some of the light.`,
        do: 'Decide once where its light ends: then keep every value of the shadow darker than every value of the light.',
      }),
    );
  }
  for (const { name, than, by } of r.overlaps) {
    const own = r.masses.find((m) => m.name === name);
    out.push(
      fix({
        code: 'overlap_lighter',
        weight: (by / step) * Math.sqrt(own?.share ?? 0.01) * (own?.emphasis ?? 1),
        ...(own && { box: own.box }),
        shape: name,
        evidence: { by: round2(by) },
        say: `${quoted([name])} is lighter than ${quoted([than])}, and more of the lights are kept off it.`,
        do: 'Where two shadows lie on each other, go darker than either.',
      }),
    );
  }
  return out;
}
