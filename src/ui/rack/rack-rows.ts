/** Rows of a rack: what each shows, and how they are put in order, in groups and narrowed down. */
import type { Allowance, DateKind } from '@/core/planning/deadline';
import type { Seen } from '../instruments/hand-in-seen';
import type { MarkedState } from '../parts/StateMark';

export interface RackRowData {
  readonly studentId: string;
  readonly name: string;
  /** Place in the class's list. */
  readonly number: number;
  readonly state: MarkedState;
  /** What was handed in for the exercise that is open; null where nothing was. */
  readonly open: {
    readonly handInId: string;
    readonly attemptId: string | null;
    readonly attempt: number | null;
    readonly seen: Seen | null;
    /** How much there is to mend, by weight, and how far it is off, steps; null where that is not known. */
    readonly need: number | null;
    readonly error: number | null;
    readonly cameAt: Date | null;
  } | null;
  readonly date: { readonly kind: DateKind; readonly lateMs: number; readonly until: string };
  readonly allowance: Allowance | null;
  /** The same student's place at every other exercise. */
  readonly others: readonly {
    readonly exerciseId: string;
    readonly handInId: string | null;
    readonly state: MarkedState;
  }[];
}

export const ORDERS = ['name', 'need', 'error', 'late', 'waiting'] as const;
export type Order = (typeof ORDERS)[number];
export const GROUPINGS = ['none', 'state', 'attempt'] as const;
export type Grouping = (typeof GROUPINGS)[number];
export const FILTERS = ['all', 'waiting', 'held', 'again', 'passed', 'open', 'late'] as const;
export type Filter = (typeof FILTERS)[number];

/** What comes first: the largest of these; names by their place in the list. */
const SIZE: Record<Order, (row: RackRowData) => number> = {
  name: () => 0,
  need: (row) => row.open?.need ?? -1,
  error: (row) => row.open?.error ?? -1,
  late: (row) => row.date.lateMs,
  waiting: (row) => (row.state === 'waiting' && row.open?.cameAt ? -row.open.cameAt.getTime() : -Infinity),
};

export function ordered(rows: readonly RackRowData[], order: Order): RackRowData[] {
  const size = SIZE[order];
  return rows.toSorted((a, b) => {
    const [x, y] = [size(a), size(b)];
    // Two that never waited are as long as each other.
    return x === y ? a.number - b.number : y - x;
  });
}

const isLate = ({ date }: RackRowData) => date.kind === 'late' || date.kind === 'missing';

export function narrowed(rows: readonly RackRowData[], filter: Filter): readonly RackRowData[] {
  if (filter === 'all') return rows;
  return rows.filter((row) => (filter === 'late' ? isLate(row) : row.state === filter));
}

const STATE_TITLES: readonly (readonly [MarkedState, string])[] = [
  ['waiting', 'Waiting'],
  ['held', 'Decided, held'],
  ['refused', 'Picture refused'],
  ['again', 'Once more'],
  ['open', 'Nothing handed in'],
  ['passed', 'Passed'],
];

export interface RowGroup {
  /** Empty where there are no groups. */
  readonly title: string;
  readonly rows: readonly RackRowData[];
}

/** Rows in groups that keep their order; groups without rows are left out. */
export function inGroups(rows: readonly RackRowData[], grouping: Grouping): RowGroup[] {
  switch (grouping) {
    case 'none':
      return [{ title: '', rows }];
    case 'state':
      return STATE_TITLES.map(([state, title]) => ({ title, rows: rows.filter((r) => r.state === state) })).filter(
        (g) => g.rows.length > 0,
      );
    case 'attempt': {
      const tries = [...new Set(rows.map((r) => r.open?.attempt ?? 0))].sort((a, b) => b - a);
      return tries.map((n) => ({
        title: n === 0 ? 'No try that counts' : `Try ${n}`,
        rows: rows.filter((r) => (r.open?.attempt ?? 0) === n),
      }));
    }
  }
}
