/** A stage in which something is painted: how long it takes and dries, and what may lie over it. */
export interface Stage {
  readonly id: string;
  readonly name: string;
  /** Work in the meeting, minutes; an estimate. */
  readonly minutes: number;
  /** Whether it may be left and taken up in the next meeting. */
  readonly divisible: boolean;
  /** From the end of work until another layer, a press or a photograph may follow, hours. */
  readonly dryHours: number;
  /** How much oil the layer holds: lean is never laid over fat. 0 for water paints. */
  readonly fat: 0 | 1 | 2 | 3;
}
