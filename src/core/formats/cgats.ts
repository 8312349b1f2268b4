/**
 * Readings of a printed card as the tables that reading instruments write: keywords, a data format, rows
 * (CGATS.17, "Exchange format for colour and process control data"). Only the columns of L*a*b* are used.
 */
import type { CardReadings } from '../capture/card-profile';
import { labD50ToD65, labD65ToD50 } from '../colour/adaptation';
import type { Triple } from '../colour/srgb';
import { addReading, BadCard } from './card-csv';

export interface CgatsReadings extends CardReadings {
  /** Whether the figures were under D50 and have been adapted. */
  readonly adapted: boolean;
}

export const isCgats = (text: string): boolean => /^\s*BEGIN_DATA_FORMAT\s*$/m.test(text);

const words = (line: string): string[] => Array.from(line.matchAll(/"([^"]*)"|(\S+)/g), (m) => m[1] ?? m[2] ?? '');

function between(lines: readonly string[], from: string, to: string): { first: number; rows: readonly string[] } {
  const [start, end] = [lines.findIndex((l) => l.trim() === from), lines.findIndex((l) => l.trim() === to)];
  if (start < 0 || end < start)
    throw new BadCard(`This table has no ${from} … ${to}: save the readings as CGATS text once more.`);
  return { first: start + 1, rows: lines.slice(start + 1, end) };
}

/** Reads a table with LAB columns; D50 is taken for granted, as the standard does, unless the file says D65. Throws BadCard. */
export function parseCgats(text: string): CgatsReadings {
  const lines = text.replace(/^\uFEFF/, '').split(/\r\n?|\n/);
  const fields = between(lines, 'BEGIN_DATA_FORMAT', 'END_DATA_FORMAT')
    .rows.flatMap(words)
    .map((f) => f.toUpperCase());
  const [l, a, b] = ['LAB_L', 'LAB_A', 'LAB_B'].map((f) => fields.indexOf(f)) as [number, number, number];
  if (l < 0 || a < 0 || b < 0)
    throw new BadCard('This table has no columns LAB_L, LAB_A, LAB_B: save the readings with L*a*b*.');
  const names = ['SAMPLE_NAME', 'SAMPLE_ID', 'SAMPLEID'].map((f) => fields.indexOf(f)).filter((i) => i >= 0);
  if (names.length === 0) throw new BadCard('This table has no column SAMPLE_ID that numbers the patches.');
  const adapted = !/D65/.test(
    lines.find((line) => /^\s*(KEYWORD\s+)?"?(ILLUMINANT|MEASUREMENT_SOURCE|WEIGHTING_FUNCTION)/.test(line)) ?? '',
  );
  const readings = { paper: null as Triple | null, patches: new Map<number, Triple>() };
  const { first, rows } = between(lines, 'BEGIN_DATA', 'END_DATA');
  rows.forEach((line, i) => {
    const cells = words(line);
    if (cells.length === 0) return;
    const called = names.map((at) => cells[at] ?? '');
    // A name may be anything; a number or "paper" in either column tells the patch.
    const name = called.find((n) => /^(paper|\d+)$/i.test(n)) ?? called[0] ?? '';
    const lab = [l, a, b].map((at) => Number(cells[at])) as [number, number, number];
    addReading(readings, name, adapted && lab.every(Number.isFinite) ? labD50ToD65(lab) : lab, first + i + 1);
  });
  if (readings.patches.size < 8)
    throw new BadCard(`At least eight patches must be read, and there are ${readings.patches.size}.`);
  return { ...readings, adapted };
}

/** The readings as such a table, under D50. */
export function formatCgats({ paper, patches }: CardReadings): string {
  const rows = [
    ...(paper ? [['paper', paper] as const] : []),
    ...[...patches].sort(([p], [q]) => p - q).map(([k, lab]) => [String(k), lab] as const),
  ];
  const data = rows.map(
    ([name, lab]) =>
      `${name} ${labD65ToD50(lab)
        .map((v) => v.toFixed(3))
        .join(' ')}`,
  );
  return [
    'CGATS.17',
    'ORIGINATOR "Fair Grey"',
    'ILLUMINANT "D50"',
    'NUMBER_OF_FIELDS 4',
    'BEGIN_DATA_FORMAT',
    'SAMPLE_ID LAB_L LAB_A LAB_B',
    'END_DATA_FORMAT',
    `NUMBER_OF_SETS ${data.length}`,
    'BEGIN_DATA',
    ...data,
    'END_DATA',
    '',
  ].join('\n');
}
