/** What was deleted, counted: what whoever deleted it is told, and nothing of what it was. */
export interface Receipt {
  readonly at: Date;
  readonly students: number;
  readonly handIns: number;
  readonly photographs: number;
  readonly files: number;
}
