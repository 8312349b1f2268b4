'use client';
/** One part of a draft: what works, or what is to be mended. */
import type { SaidItem } from '@/core/critique/letter';
import type { Why } from '@/core/critique/why';
import type { Answer } from '../parts/answer';
import { FindingRow } from './FindingRow';
import type { ItemChange, Phrases, TableProps } from './table-props';

interface Props {
  readonly title: string;
  readonly items: readonly SaidItem[];
  /** Key of what is to be done before all else; null where nothing is. */
  readonly first: string | null;
  /** How often each was changed, by its key; those that never were are left out. */
  readonly changes: Readonly<Record<string, number>>;
  readonly phrases: TableProps['phrases'];
  /** Why each is said, by its key. */
  readonly whys: Readonly<Record<string, Why>>;
  readonly whyOpen: boolean;
  readonly onWhy: (open: boolean) => void;
  /** Place of the first one among all that are shown. */
  readonly from: number;
  readonly chosen: number;
  /** Key of the finding that is being edited. */
  readonly editing: string | null;
  readonly frozen: boolean;
  readonly onChoose: (at: number) => void;
  readonly onEdit: (key: string | null) => void;
  readonly onChange: (
    key: string,
    change: ItemChange,
    seen: number,
  ) => Promise<Answer<Omit<SaidItem, 'original'>, void>>;
}

const NONE: Phrases = { say: [], action: [] };

export function FindingList({
  title,
  items,
  first,
  phrases,
  changes,
  whys,
  whyOpen,
  onWhy,
  from,
  chosen,
  ...rest
}: Props) {
  const { editing, frozen, onChoose, onEdit, onChange } = rest;
  if (items.length === 0) return null;
  return (
    <div>
      <h2 className="label">{title}</h2>
      {items.map((item, i) => {
        const { key } = item.original;
        return (
          <FindingRow
            key={key}
            item={item}
            written={changes[key] ?? 0}
            phrases={phrases[item.original.code] ?? NONE}
            why={whys[key] ?? null}
            whyOpen={whyOpen}
            onWhy={onWhy}
            first={key === first}
            frozen={frozen}
            chosen={chosen === from + i}
            editing={editing === key}
            onChoose={() => onChoose(from + i)}
            onEdit={(open) => onEdit(open ? key : null)}
            onChange={(c, seen) => onChange(key, c, seen)}
          />
        );
      })}
    </div>
  );
}
