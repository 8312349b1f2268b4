import type { Plane } from './between';

/** A plane with what is unknown in it (NaN) as another of the same places has it. */
export function filledFrom({ data, ...grid }: Plane, other: Plane): Plane {
  const filled = data.slice();
  for (let i = 0; i < filled.length; i++) if (Number.isNaN(filled[i])) filled[i] = other.data[i] as number;
  return { ...grid, data: filled };
}
