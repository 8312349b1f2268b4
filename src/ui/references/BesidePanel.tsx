'use client';
/** Other pictures beside the one that is prepared, and those kept as its exemplars. */
import type { Preparation } from '@/core/reference/preparation';
import { useState } from 'react';
import { Choice, Tick } from '../parts/fields';

interface Props {
  /** Ids of pictures. */
  readonly exemplars: Preparation['exemplars'];
  readonly others: readonly { readonly id: string; readonly title: string }[];
  readonly set: (change: Partial<Preparation>) => void;
}

const MOST_EXEMPLARS = 6;

export function BesidePanel({ exemplars, others, set }: Props) {
  const [beside, setBeside] = useState('');
  const titleOf = (id: string) => others.find((o) => o.id === id)?.title ?? '';
  const small = (id: string, alt: string) => (
    <img key={id} src={`/reference/${id}/small`} alt={alt} className="mt-2 w-full" />
  );
  const rest = exemplars.filter((e) => e !== beside);
  const keep = (on: boolean) => set({ exemplars: on ? [...exemplars, beside].slice(0, MOST_EXEMPLARS) : [...rest] });
  return (
    <div className="mt-2">
      <Choice
        label="Show another picture beside it"
        value={beside}
        options={[['', 'none'], ...others.map((o) => [o.id, o.title] as const)]}
        onChange={setBeside}
      />
      {beside && (
        <>
          {small(beside, titleOf(beside))}
          <Tick label="Keep it as an exemplar" checked={exemplars.includes(beside)} onChange={keep} />
        </>
      )}
      {rest.map((id) => small(id, `Exemplar: ${titleOf(id)}`))}
    </div>
  );
}
