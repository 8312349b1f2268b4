/** How the rack is put in order, in groups and narrowed down. */
import { FILTERS, type Filter, type Grouping, GROUPINGS, type Order, ORDERS } from './rack-rows';

const ORDER_WORDS: Record<Order, string> = {
  name: 'the class list',
  need: 'most to mend',
  error: 'furthest off',
  late: 'latest',
  waiting: 'longest waiting',
};
const GROUP_WORDS: Record<Grouping, string> = { none: 'not at all', state: 'where it stands', attempt: 'the try' };
const FILTER_WORDS: Record<Filter, string> = {
  all: 'everybody',
  waiting: 'waiting',
  held: 'decided, held',
  again: 'once more',
  passed: 'passed',
  open: 'nothing handed in',
  late: 'late or missing',
};

function Pick<T extends string>({
  label,
  value,
  words,
  all,
  onChange,
}: {
  readonly label: string;
  readonly value: T;
  readonly words: Record<T, string>;
  readonly all: readonly T[];
  readonly onChange: (value: T) => void;
}) {
  return (
    <label className="flex items-center gap-2 text-13">
      {label}
      <select
        className="min-h-8 rounded-sm border border-l50 bg-l97 px-2"
        value={value}
        onChange={(e) => onChange(e.target.value as T)}
      >
        {all.map((v) => (
          <option key={v} value={v}>
            {words[v]}
          </option>
        ))}
      </select>
    </label>
  );
}

interface Props {
  readonly order: Order;
  readonly grouping: Grouping;
  readonly filter: Filter;
  readonly onOrder: (order: Order) => void;
  readonly onGrouping: (grouping: Grouping) => void;
  readonly onFilter: (filter: Filter) => void;
}

export function RackTools({ order, grouping, filter, onOrder, onGrouping, onFilter }: Props) {
  return (
    <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
      <Pick label="In order of" value={order} words={ORDER_WORDS} all={ORDERS} onChange={onOrder} />
      <Pick label="Together by" value={grouping} words={GROUP_WORDS} all={GROUPINGS} onChange={onGrouping} />
      <Pick label="Show" value={filter} words={FILTER_WORDS} all={FILTERS} onChange={onFilter} />
    </div>
  );
}
