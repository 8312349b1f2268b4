'use client';
/** One finding of a draft: read, lit up, edited, dropped. The words as drafted stay beside an edit. */
import type { SaidItem } from '@/core/critique/letter';
import { useState } from 'react';

interface Props {
  readonly item: SaidItem;
  readonly frozen: boolean;
  readonly chosen: boolean;
  readonly editing: boolean;
  readonly onChoose: () => void;
  readonly onEdit: (open: boolean) => void;
  readonly onChange: (change: { say?: string; action?: string; dropped?: boolean }) => void;
}

export function FindingRow({ item, frozen, chosen, editing, onChoose, onEdit, onChange }: Props) {
  const say = item.say ?? item.original.say;
  const action = item.action ?? item.original.do ?? '';
  const [draftSay, setDraftSay] = useState(say);
  const [draftAction, setDraftAction] = useState(action);
  if (editing)
    return (
      <form
        className="rounded-sm bg-l97 p-2"
        onSubmit={(e) => {
          e.preventDefault();
          onChange({
            say: draftSay === item.original.say ? '' : draftSay,
            action: draftAction === (item.original.do ?? '') ? '' : draftAction,
          });
          onEdit(false);
        }}
        onKeyDown={(e) => {
          if (e.key === 'Escape') onEdit(false);
        }}
      >
        <label>
          <span className="label">What is seen</span>
          <textarea
            className="field"
            rows={3}
            autoFocus
            value={draftSay}
            onChange={(e) => setDraftSay(e.target.value)}
          />
        </label>
        {item.original.kind === 'fix' && (
          <label>
            <span className="label mt-2">What to do</span>
            <textarea className="field" rows={2} value={draftAction} onChange={(e) => setDraftAction(e.target.value)} />
          </label>
        )}
        <div className="mt-2 flex gap-2">
          <button className="act">Keep these words</button>
          <button type="button" className="calm" onClick={() => onEdit(false)}>
            Leave
          </button>
        </div>
      </form>
    );
  return (
    <div
      className={`rounded-sm border-l-4 py-1 pl-2 ${chosen ? 'border-ink bg-l97' : 'border-transparent'}`}
      data-code={item.original.code}
    >
      <button type="button" className="block w-full cursor-pointer text-left" aria-pressed={chosen} onClick={onChoose}>
        <span className={item.dropped ? 'text-l37 line-through' : item.original.kind === 'fix' ? 'font-semibold' : ''}>
          {say}
        </span>
        {action && !item.dropped && <span className="block">{action}</span>}
        {item.say !== null && <span className="quiet block">Drafted: {item.original.say}</span>}
      </button>
      {!frozen && chosen && (
        <div className="mt-1 flex gap-3 text-13">
          <button type="button" className="cursor-pointer underline" onClick={() => onEdit(true)}>
            Edit
          </button>
          <button
            type="button"
            className="cursor-pointer underline"
            onClick={() => onChange({ dropped: !item.dropped })}
          >
            {item.dropped ? 'Take it back in' : 'Drop'}
          </button>
        </div>
      )}
    </div>
  );
}
