import type { Plane } from './between';

/** A plane with what is unknown in it (NaN) as another of the same places has it. */
export const filledFrom = ({ data, ...grid }: Plane, other: Plane): Plane => ({
  ...grid,
  data: data.map((v, i) => (Number.isNaN(v) ? (other.data[i] as number) : v)),
});
