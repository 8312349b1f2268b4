/** Numbers of a bench put together and printed. */
import { quantile as quantileOf } from 'd3-array';

/** The value at a share of the sorted list; NaN of none. */
export const quantile = (values: readonly number[], share: number): number => quantileOf(values, share) ?? Number.NaN;

/** A row of a table for people: the first column to the left, the rest to the right. */
export function row(first: string, ...rest: readonly (string | number)[]): void {
  const cells = rest.map((r) =>
    (typeof r === 'number' ? (Number.isInteger(r) ? String(r) : r.toFixed(2)) : r).padStart(10),
  );
  console.log(first.padEnd(24) + cells.join(''));
}

export const frameWords = ({ made, found }: { readonly made: boolean; readonly found: boolean }): string =>
  `frame ${made ? 'painted' : 'none'} and ${found ? 'found' : 'not found'}`;

/** What was planted of a kind and how many of it were found, what was said of it and how much of that was right. */
export interface Found {
  planted: number;
  found: number;
  said: number;
  right: number;
}

/** A row of it; whether it keeps a limit. Of none at all each share is whole. */
export function rowOfFound(
  name: string,
  { planted, found, said, right }: Readonly<Found>,
  limit: { readonly recall: number; readonly precision: number },
): boolean {
  const [recall, precision] = [planted === 0 ? 1 : found / planted, said === 0 ? 1 : right / said];
  row(name, planted, said, recall, precision);
  return recall >= limit.recall && precision >= limit.precision;
}
