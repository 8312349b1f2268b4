/** A place: millimetres on a sheet, pixels of a photograph, or shares of a picture; y down. The user says which. */
export interface Point {
  readonly x: number;
  readonly y: number;
}
