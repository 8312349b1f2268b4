'use client';
/** One part of a draft: what works, or what is to be mended. */
import type { SaidItem } from '@/studio/views';
import { FindingRow } from './FindingRow';

interface Props {
  readonly title: string;
  readonly items: readonly SaidItem[];
  /** Place of the first one among all that are shown. */
  readonly from: number;
  readonly chosen: number;
  readonly editing: number | null;
  readonly frozen: boolean;
  readonly onChoose: (at: number) => void;
  readonly onEdit: (position: number | null) => void;
  readonly onChange: (position: number, change: { say?: string; action?: string; dropped?: boolean }) => void;
}

export function FindingList({ title, items, from, chosen, editing, frozen, onChoose, onEdit, onChange }: Props) {
  if (items.length === 0) return null;
  return (
    <div>
      <h2 className="label">{title}</h2>
      {items.map((item, i) => (
        <FindingRow
          key={item.position}
          item={item}
          frozen={frozen}
          chosen={chosen === from + i}
          editing={editing === item.position}
          onChoose={() => onChoose(from + i)}
          onEdit={(open) => onEdit(open ? item.position : null)}
          onChange={(c) => onChange(item.position, c)}
        />
      ))}
    </div>
  );
}
