/** A table of the record: what a chart shows, what is read aloud of it, and what goes out as CSV. */
export interface RecordTable {
  readonly title: string;
  readonly columns: readonly string[];
  /** The first cell of a row says what it is of; null is nothing known. */
  readonly rows: readonly (readonly [string, ...(string | number | null)[]])[];
}
