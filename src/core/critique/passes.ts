/** What is left of a long list of findings, put together by the pass of work that it belongs to, or by the thing that it is about. */
import { objectOf } from '../tones/mass';
import type { Finding } from './finding';
import { capital, massName } from './naming';

/** In the order in which people go over a painting: values first, colour last. */
export const PASSES = ['values', 'drawing', 'edges', 'accents', 'colour', 'words'] as const;
export type Pass = (typeof PASSES)[number];

const NAMES: Record<Pass, string> = {
  values: 'Values',
  drawing: 'Drawing',
  edges: 'Edges',
  accents: 'Accents',
  colour: 'Colour',
  words: 'Your own',
};

/** Codes of every pass but that of values, where all else belongs. */
const CODES: Record<Exclude<Pass, 'values'>, readonly string[]> = {
  drawing: ['feature_moved', 'gap_off', 'picture_moved', 'picture_turned', 'picture_sized', 'shifted', 'extent_off'],
  edges: ['ragged_edges', 'slivers', 'over_the_line', 'built_up_edge', 'line_shows', 'seams_stand_out'],
  accents: ['line_off', 'focus_elsewhere'],
  colour: [
    ...['colour_strength', 'colour_cast', 'colour_off', 'colour_elsewhere', 'shadow_warmth', 'accent_of_colour'],
    ...['drift_warm', 'drift_cool', 'hue_turn', 'chip_misplaced'],
  ],
  words: ['own_word'],
};

/** Rules of form that are about edges. */
const EDGE_RULES = ['cast_edge_hard', 'edges_alike'];

/** The pass of work that a finding belongs to. */
export function passOf({ code, key }: Pick<Finding, 'code' | 'key'>): Pass {
  if (code === 'form_broken') return EDGE_RULES.some((rule) => key.includes(` ${rule} `)) ? 'edges' : 'values';
  return PASSES.find((pass) => pass !== 'values' && CODES[pass].includes(code)) ?? 'values';
}

/** The thing that a finding is about; of what has no name it is the whole picture. */
const figureOf = ({ where }: Pick<Finding, 'where'>): string =>
  where.shape === undefined ? 'The whole picture' : capital(massName(objectOf({ name: where.shape })));

export interface Group<T> {
  readonly title: string;
  readonly items: readonly T[];
}

export type Grouping = 'pass' | 'figure';

/** In groups, each in the order in which it came: passes in their own order, figures in that of their first finding. */
export function grouped<T>(items: readonly T[], findingOf: (item: T) => Finding, by: Grouping): Group<T>[] {
  const titleOf = (item: T) => (by === 'pass' ? NAMES[passOf(findingOf(item))] : figureOf(findingOf(item)));
  const found = [...new Set(items.map(titleOf))];
  const titles = by === 'pass' ? PASSES.map((p) => NAMES[p]).filter((name) => found.includes(name)) : found;
  return titles.map((title) => ({ title, items: items.filter((item) => titleOf(item) === title) }));
}
