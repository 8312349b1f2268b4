'use client';
import type { ShelfItem } from '@/core/planning/quantities';
import { useState, useTransition } from 'react';

interface Props {
  readonly what: string;
  readonly name: string;
  readonly lightness: number | null;
  readonly drying: string;
  readonly unit: string;
  readonly item: ShelfItem;
  /** Whether the teacher has set it; usual figures are shown greyed. */
  readonly known: boolean;
  readonly save: (what: string, item: ShelfItem) => Promise<{ ok: boolean; say?: string }>;
}

const FIELDS = [
  ['pack', 'size of a pack'],
  ['price', 'price of a pack'],
  ['stock', 'in the cupboard'],
] as const;

export function ShelfRow({ what, name, lightness, drying, unit, item: kept, known, save }: Props) {
  const [item, setItem] = useState(kept);
  const [trouble, setTrouble] = useState('');
  const [, start] = useTransition();
  const keep = () => {
    if (FIELDS.every(([f]) => item[f] === kept[f])) return;
    start(async () => {
      const answer = await save(what, item);
      setTrouble(answer.ok ? '' : (answer.say ?? ''));
    });
  };
  return (
    <tr className="border-t border-l80">
      <th scope="row" className="py-0.5 text-left font-normal">
        {name}
        {trouble && (
          <span role="alert" className="block">
            {trouble}
          </span>
        )}
      </th>
      <td>{lightness ?? ''}</td>
      <td>{drying}</td>
      {FIELDS.map(([field, words]) => (
        <td key={field}>
          <input
            className={`w-20 rounded-sm border border-l63 bg-l97 px-1.5 py-1 ${known ? '' : 'text-l37 italic'}`}
            type="number"
            min={0}
            step="any"
            aria-label={`${name}: ${words}`}
            value={item[field]}
            onChange={(e) => setItem((i) => ({ ...i, [field]: Number(e.target.value) }))}
            onBlur={keep}
          />
          {field !== 'price' && <span className="quiet ml-1">{unit}</span>}
        </td>
      ))}
    </tr>
  );
}
