/** What the figures of hand-ins are called, in which unit they are read, and which way is better. */
import type { Figures } from './figures';

export interface FigureWords {
  readonly label: string;
  readonly unit: string;
  /** What the kept figure is multiplied by to be read. */
  readonly times: number;
  readonly places: number;
  /** Which way it gets better; `towards` is nearer to 0, null where neither is better by itself. */
  readonly better: 'less' | 'more' | 'towards' | null;
  /** A smaller change than this, as it is read, is none. */
  readonly notable: number;
}

export const FIGURE_WORDS: Readonly<Record<keyof Figures, FigureWords>> = {
  error: { label: 'off, on the whole', unit: 'steps', times: 1, places: 2, better: 'less', notable: 0.05 },
  worst: { label: 'off at the worst', unit: 'steps', times: 1, places: 2, better: 'less', notable: 0.1 },
  bias: { label: 'too light or too dark', unit: 'steps', times: 1, places: 2, better: 'towards', notable: 0.05 },
  evenness: { label: 'unevenness of the gaps', unit: '', times: 1, places: 2, better: 'less', notable: 0.02 },
  darkest: { label: 'darkest', unit: 'L*', times: 1, places: 1, better: null, notable: 1 },
  lightest: { label: 'lightest', unit: 'L*', times: 1, places: 1, better: null, notable: 1 },
  agreement: {
    label: 'agreement with the reference',
    unit: 'of 100',
    times: 100,
    places: 0,
    better: 'more',
    notable: 1,
  },
  drawing: {
    ...{ label: 'things out of place', unit: 'hundredths of the width', times: 100, places: 1 },
    ...{ better: 'less', notable: 0.3 },
  },
  edges: { label: 'lines and reaches that are off', unit: '', times: 1, places: 0, better: 'less', notable: 1 },
};

export const FIGURE_KEYS = Object.keys(FIGURE_WORDS) as readonly (keyof Figures)[];

/** A figure as it is read, without its unit. */
export function readFigure(key: keyof Figures, value: number): string {
  const { times, places } = FIGURE_WORDS[key];
  // No minus before a nought, and a real minus otherwise.
  return (times * value)
    .toFixed(places)
    .replace(/^-(0(\.0+)?)$/, '$1')
    .replace('-', '\u2212');
}
