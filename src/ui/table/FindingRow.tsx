'use client';
/** One finding of a draft: read, lit up, edited, dropped. The words as drafted stay beside an edit. */
import type { SaidItem } from '@/core/critique/letter';
import type { Why } from '@/core/critique/why';
import type { Answer } from '../parts/answer';
import { FindingForm } from './FindingForm';
import type { ItemChange, Phrases } from './table-props';
import { WhyFold } from './WhyFold';

interface Props {
  readonly item: SaidItem;
  /** How often it was changed. */
  readonly written: number;
  readonly phrases: Phrases;
  /** Null where its rule is gone. */
  readonly why: Why | null;
  readonly whyOpen: boolean;
  readonly onWhy: (open: boolean) => void;
  /** Whether it is to be done before all else. */
  readonly first: boolean;
  readonly frozen: boolean;
  readonly chosen: boolean;
  readonly editing: boolean;
  readonly onChoose: () => void;
  readonly onEdit: (open: boolean) => void;
  readonly onChange: (change: ItemChange, seen: number) => Promise<Answer<Omit<SaidItem, 'original'>, void>>;
}

export function FindingRow({ item, written, phrases, why, whyOpen, onWhy, ...rest }: Props) {
  const { first, frozen, chosen, editing, onChoose, onEdit, onChange } = rest;
  const say = item.say ?? item.original.say;
  const action = item.action ?? item.original.do ?? '';
  if (editing)
    return (
      <FindingForm item={item} written={written} phrases={phrases} change={onChange} close={() => onEdit(false)} />
    );
  return (
    <div
      className={`rounded-sm border-l-4 py-1 pl-2 ${chosen ? 'border-ink bg-l97' : 'border-transparent'}`}
      data-code={item.original.code}
    >
      <button type="button" className="block w-full cursor-pointer text-left" aria-pressed={chosen} onClick={onChoose}>
        {first && <span className="label">First of all</span>}
        <span className={item.dropped ? 'text-l37 line-through' : item.original.kind === 'fix' ? 'font-semibold' : ''}>
          {say}
        </span>
        {action && !item.dropped && <span className="block">{action}</span>}
        {item.say !== null && <span className="quiet block">Drafted: {item.original.say}</span>}
      </button>
      {chosen && (
        <div className="mt-1 flex flex-wrap gap-x-3 text-13">
          {!frozen && (
            <>
              <button type="button" className="cursor-pointer underline" onClick={() => onEdit(true)}>
                Edit
              </button>
              <button
                type="button"
                className="cursor-pointer underline"
                onClick={() => void onChange({ dropped: !item.dropped }, written)}
              >
                {item.dropped ? 'Take it back in' : 'Drop'}
              </button>
            </>
          )}
          {why && <WhyFold why={why} open={whyOpen} onOpen={onWhy} />}
        </div>
      )}
    </div>
  );
}
