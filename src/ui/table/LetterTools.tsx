'use client';
/** What a teacher adds to a letter beside what was measured: remarks of their own, marks, and whom it is written for. */
import { OwnRemark } from './OwnRemark';
import type { TableProps } from './table-props';
import type { Critique } from './use-critique';
import { WrittenFor } from './WrittenFor';

interface Props {
  readonly shown: NonNullable<TableProps['shown']>;
  readonly handIn: TableProps['handIn'];
  readonly remarks: TableProps['remarks'];
  readonly actions: TableProps['actions'];
  readonly critique: Critique;
}

export function LetterTools({ shown, handIn, remarks, actions, critique }: Props) {
  const { frozen, run, ask } = critique;
  const counted = (n: number) => (n > 0 ? ` (${n})` : '');
  return (
    <>
      <div className="flex flex-wrap gap-x-4 gap-y-2 text-13">
        {!frozen && (
          <button
            type="button"
            className="min-h-6 cursor-pointer underline"
            onClick={() => critique.setRemarking(true)}
          >
            A remark of your own
          </button>
        )}
        {(!frozen || shown.marks.length > 0) && (
          <button type="button" className="min-h-6 cursor-pointer underline" onClick={() => critique.setBoard('marks')}>
            {frozen ? 'See the marks' : 'Mark the picture'}
            {counted(shown.marks.length)}
          </button>
        )}
        {(!frozen || shown.corrections.length > 0) && (
          <button
            type="button"
            className="min-h-6 cursor-pointer underline"
            onClick={() => critique.setBoard('correction')}
          >
            {frozen ? 'See the correction' : 'Show a correction'}
            {counted(shown.corrections.length)}
          </button>
        )}
        {critique.isPainting && (
          <button
            type="button"
            className="min-h-6 cursor-pointer underline"
            onClick={() => critique.setBoard('beside')}
          >
            Beside other pictures
          </button>
        )}
      </div>
      {!frozen && (
        <>
          <WrittenFor
            own={handIn.register}
            ofClass={handIn.classRegister}
            speakTo={(register) => run(() => actions.writeFor(handIn.id, register))}
          />
          <OwnRemark
            open={critique.remarking}
            remarks={remarks}
            onOpenChange={critique.setRemarking}
            say={(own) => ask(() => actions.sayOfOwn(shown.id, own))}
            keep={(remark) => ask(() => actions.keepOwnRemark(remark))}
          />
        </>
      )}
    </>
  );
}
