/** Where a slider of a correction stands, as it is said in the studio. */
import { inSteps } from '@/core/critique/amounts';
import { howFar } from '@/core/critique/naming';

const AS_IT_IS = 'as it is';
/** What is less than this is no move: share of the picture, times as large, degrees. */
const LEAST = { share: 0.002, size: 0.015, degrees: 0.5 } as const;

const either = (by: number, most: number, more: string, less: string) =>
  Math.abs(by) < most ? AS_IT_IS : by > 0 ? more : less;

export const sayLighter = (by: number, step: number): string =>
  either(by, Number.EPSILON, `${inSteps(by / step)} lighter`, `${inSteps(by / step)} darker`);

export const sayShift = (by: number, more: string, less: string): string =>
  either(by, LEAST.share, `${howFar(Math.abs(by))} ${more}`, `${howFar(Math.abs(by))} ${less}`);

/** How much larger, said against a brush held up before it. */
export function saySize(times: number, more: string, less: string): string {
  const by = Math.max(times, 1 / times) - 1;
  const much = by < 0.08 ? 'a little ' : by < 0.25 ? '' : 'much ';
  return either(times - 1, LEAST.size, `${much}${more}`, `${much}${less}`);
}

export function sayTurn(degrees: number): string {
  const much = Math.abs(degrees) < 5 ? 'a little ' : Math.abs(degrees) < 20 ? '' : 'far ';
  return either(degrees, LEAST.degrees, `${much}to the right`, `${much}to the left`);
}

/** How wide something fades, share of the width. */
export const saySoft = (soft: number): string =>
  soft < 0.002
    ? 'not at all'
    : soft < 0.008
      ? 'hardly'
      : soft < 0.02
        ? 'a little'
        : soft < 0.045
          ? 'softly'
          : 'very softly';

/** How a film is laid, mm wet. */
export const sayFilm = (mm: number): string =>
  mm < 0.006 ? 'a breath' : mm < 0.015 ? 'very thin' : mm < 0.04 ? 'thin' : mm < 0.08 ? 'full' : 'thick';
