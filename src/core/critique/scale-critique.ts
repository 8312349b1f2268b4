/**
 * Drafts the critique of a measured scale: first what works, then what to mend, heaviest first. It
 * reads only the measurement and the terms of the exercise, so the same hand-in always gets the same
 * draft; the teacher's own words are kept elsewhere.
 */
import type { NumberingId } from '../exercise/numbering';
import { stepLabels } from '../exercise/numbering';
import type { ScaleTerms } from '../scale/flags';
import { LIMITS, stepSize } from '../scale/flags';
import { CRAFT_FLAGS, type MeasuredChip, type MeasuredGap, type MeasuredStep, type ScaleResult } from '../scale/result';
import { type Cause, diagnose } from './diagnose';
import type { Finding } from './finding';
import { CHIP_WORDS, CRAFT_WORDS, list, VALUE_WORDS, WORKS_WORDS } from './scale-words';

const round1 = (v: number) => Math.round(v * 10) / 10;
const round2 = (v: number) => Math.round(v * 100) / 100;

interface Draft {
  readonly terms: ScaleTerms;
  readonly labels: readonly string[];
  readonly steps: readonly MeasuredStep[];
  readonly gaps: readonly MeasuredGap[];
  /** Whether only what lies between the ends was measured. */
  readonly relative: boolean;
}

function label(d: Draft, step: number): string {
  return d.labels[step - 1] ?? String(step);
}

function valueFinding(d: Draft, cause: Cause): Finding {
  const targets = d.steps.map((s) => s.target);
  const size = stepSize(targets);
  const gap = cause.pair ? d.gaps.find((g) => g.between[0] === cause.pair?.[0]) : undefined;
  const facts = {
    steps: cause.steps.map((s) => label(d, s)),
    pair: cause.pair ? ([label(d, cause.pair[0]), label(d, cause.pair[1])] as const) : null,
    bothOfPair: cause.pair !== null && cause.pair.every((s) => cause.steps.includes(s)),
    error: cause.error / size,
    gap: gap && gap.ideal > 0 ? gap.gap / gap.ideal : 0,
    lightFirst: d.terms.order === 'light-first',
  };
  const errors = cause.steps.map((s) => Math.abs(d.steps[s - 1]?.error ?? 0) / size);
  const worst = Math.max(...errors, gap ? Math.abs(gap.gap - gap.ideal) / size : 0);
  const beyond = Math.max(0.1, worst - d.terms.toleranceSteps);
  const words = VALUE_WORDS[cause.code];
  return {
    code: cause.code,
    kind: 'fix',
    weight: round2(beyond * Math.sqrt(cause.steps.length / d.steps.length)),
    where: { steps: [...new Set([...cause.steps, ...(cause.pair ?? [])])].sort((a, b) => a - b) },
    evidence: {
      error: round1(cause.error),
      ...(gap ? { gap: round1(gap.gap), ideal: round1(gap.ideal) } : {}),
      lightness: cause.steps.map((s) => round1(d.steps[s - 1]?.lightness ?? 0)),
      target: cause.steps.map((s) => round1(d.steps[s - 1]?.target ?? 0)),
    },
    say: words.say(facts),
    do: words.do(facts),
  };
}

function craftFindings(d: Draft): Finding[] {
  const area = Math.sqrt(1 / d.steps.length);
  return d.steps.flatMap((s) => {
    const name = label(d, s.index);
    const base = { kind: 'fix' as const, where: { steps: [s.index] } };
    const found: Finding[] = [];
    if (s.flags.includes('streaky'))
      found.push({
        ...base,
        code: 'streaky',
        weight: round2((s.spread / LIMITS.streaky - 1) * 0.4 * area),
        evidence: { spread: round1(s.spread) },
        say: CRAFT_WORDS.streaky.say(name),
        do: CRAFT_WORDS.streaky.do(name),
      });
    if (s.flags.includes('bare_ground'))
      found.push({
        ...base,
        code: 'bare_ground',
        weight: round2(10 * (s.bareGround ?? 0) * area),
        evidence: { share: Math.round(1000 * (s.bareGround ?? 0)) / 1000 },
        say: CRAFT_WORDS.bare_ground.say(name),
        do: CRAFT_WORDS.bare_ground.do(name),
      });
    if (s.flags.includes('over_the_line'))
      found.push({
        ...base,
        code: 'over_the_line',
        weight: round2(5 * (s.overflow ?? 0) * area),
        evidence: { share: Math.round(1000 * (s.overflow ?? 0)) / 1000 },
        say: CRAFT_WORDS.over_the_line.say(name),
        do: CRAFT_WORDS.over_the_line.do(name),
      });
    if (s.flags.includes('built_up_edge'))
      found.push({
        ...base,
        code: 'built_up_edge',
        weight: round2((Math.abs(s.rim ?? 0) / LIMITS.builtUpEdge - 1) * 0.3 * area),
        evidence: { rim: round1(s.rim ?? 0) },
        say: CRAFT_WORDS.built_up_edge.say(name),
        do: CRAFT_WORDS.built_up_edge.do(name),
      });
    if (s.flags.includes('line_shows'))
      found.push({
        ...base,
        code: 'line_shows',
        weight: round2((s.lineShows ?? 0) * 0.3 * area),
        evidence: { share: round2(s.lineShows ?? 0) },
        say: CRAFT_WORDS.line_shows.say(name),
        do: CRAFT_WORDS.line_shows.do(name),
      });
    for (const code of ['drift_warm', 'drift_cool', 'hue_turn'] as const)
      if (s.flags.includes(code))
        found.push({
          ...base,
          code,
          weight: round2(0.5 * area),
          evidence: { a: round1(s.a ?? 0), b: round1(s.b ?? 0) },
          say: CRAFT_WORDS[code].say(name),
          do: CRAFT_WORDS[code].do(name),
        });
    return found;
  });
}

/** A chip this many steps from where it belongs is told. */
const CHIP_OFF = 1;

function chipFindings(d: Draft, chips: readonly MeasuredChip[]): Finding[] {
  return chips
    .filter((c) => Math.abs(c.nearest - c.step) >= CHIP_OFF && Math.abs(c.belongs - c.step) > 0.75)
    .map((c): Finding => {
      const words = CHIP_WORDS[c.what];
      return {
        code: 'chip_misplaced',
        kind: 'fix',
        weight: round2(0.4 * Math.abs(c.belongs - c.step) * Math.sqrt(1 / d.steps.length)),
        where: { steps: [...new Set([c.step, c.nearest])].sort((a, b) => a - b) },
        evidence: { lightness: round1(c.lightness), belongs: round2(c.belongs) },
        say: words.say(label(d, c.step), label(d, c.nearest), c.nearest > c.step === (d.terms.order === 'light-first')),
        do: words.do(label(d, c.nearest)),
      };
    });
}

function silhouetteFindings({ silhouette }: ScaleResult): Finding[] {
  if (!silhouette || silhouette.solid) return [];
  return [
    {
      code: 'silhouette_not_solid',
      kind: 'fix',
      weight: 0.3,
      where: { steps: [] },
      evidence: { lightness: round1(silhouette.lightness), spread: round1(silhouette.spread) },
      say: 'The dark shape in front is not one solid dark: it shows streaks or paper, or is too light.',
      do: 'Give the dark shape another coat of black as it comes from the tube, right up to its outline.',
    },
  ];
}

/** The longest run of neighbouring gaps with no flag, as steps; null below three gaps. */
function evenRun(gaps: readonly MeasuredGap[]): [number, number] | null {
  let best: [number, number] | null = null;
  let from = 0;
  gaps.forEach((g, i) => {
    if (g.flags.length > 0) from = i + 1;
    else if (i - from >= 2 && (!best || i - from > best[1] - best[0] - 1)) best = [from + 1, i + 2];
  });
  return best;
}

function works(d: Draft, causes: readonly Cause[]): Finding[] {
  const found: Finding[] = [];
  const add = (code: string, say: string, steps: number[], evidence: Finding['evidence']) =>
    found.push({ code, kind: 'works', weight: 0, where: { steps }, evidence, say, do: null });
  const [white, black] = d.terms.order === 'light-first' ? [d.steps[0], d.steps.at(-1)] : [d.steps.at(-1), d.steps[0]];
  const has = (code: Cause['code']) => causes.some((c) => c.code === code);
  const gapsOk = d.gaps.every((g) => g.flags.length === 0);
  const run = evenRun(d.gaps);
  if (gapsOk) add('works_even', WORKS_WORDS.even(), [], { gaps: d.gaps.map((g) => round1(g.gap)) });
  else if (run)
    add('works_even_part', WORKS_WORDS.even_part(label(d, run[0]), label(d, run[1])), [run[0], run[1]], {
      gaps: d.gaps.slice(run[0] - 1, run[1] - 1).map((g) => round1(g.gap)),
    });
  // Relative readings take the ends for granted: nothing can be said of them.
  const endsKnown = d.terms.anchor !== 'own' && !d.relative && white && black;
  if (endsKnown && !has('weak_black') && !has('weak_white'))
    add('works_ends', WORKS_WORDS.ends(), [white.index, black.index], {
      lightest: round1(white.lightness),
      darkest: round1(black.lightness),
    });
  else if (endsKnown && !has('weak_black'))
    add('works_black', WORKS_WORDS.black(), [black.index], { darkest: round1(black.lightness) });
  else if (endsKnown && !has('weak_white'))
    add('works_white', WORKS_WORDS.white(), [white.index], { lightest: round1(white.lightness) });
  if (!gapsOk && !d.gaps.some((g) => g.flags.includes('reversed'))) add('works_order', WORKS_WORDS.order(), [], {});
  const craft = CRAFT_FLAGS;
  if (!d.steps.some((s) => s.flags.some((f) => craft.some((c) => c === f))))
    add('works_flat', WORKS_WORDS.flat(), [], { spread: round1(Math.max(...d.steps.map((s) => s.spread))) });
  if (found.length === 0) {
    const size = stepSize(d.steps.map((s) => s.target));
    const near = d.steps.filter((s) => Math.abs(s.error) < 0.3 * size).map((s) => s.index);
    if (near.length > 0) add('works_on_target', WORKS_WORDS.on_target(list(near.map((s) => label(d, s)))), near, {});
  }
  return found;
}

/** Findings for a measurement with its steps; none where nothing was read. */
export function critiqueScale(result: ScaleResult, terms: ScaleTerms, numbering: NumberingId): Finding[] {
  if (result.steps.length === 0) return [];
  const d: Draft = {
    terms,
    labels: stepLabels(numbering, terms),
    steps: result.steps,
    gaps: result.gaps,
    relative: result.capture.mode === 'relative',
  };
  const causes = diagnose(
    terms,
    result.steps.map((s) => s.lightness),
    result.steps.map((s) => s.ownUncertainty),
  );
  const fixes = [
    ...causes.map((c) => valueFinding(d, c)),
    ...craftFindings(d),
    ...chipFindings(d, result.chips),
    ...silhouetteFindings(result),
  ].sort((a, b) => b.weight - a.weight || (a.where.steps[0] ?? 0) - (b.where.steps[0] ?? 0));
  return [...works(d, causes), ...fixes];
}

/** Headline fixes shown before the rest is folded away. */
export const HEADLINES = 7;
