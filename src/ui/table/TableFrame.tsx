'use client';
/** The frame of every Table: the pictures, and beside them who painted it, what is said of it and what is decided. */
import { HEADLINES } from '@/core/critique/finding';
import Link from 'next/link';
import type { ReactNode } from 'react';
import { GradeFold } from '../grading/GradeFold';
import { HoldButton } from '../instruments/HoldButton';
import { attemptName } from '../parts/attempt-name';
import { intoView } from '../parts/into-view';
import { KeptText } from '../parts/KeptText';
import { KeyList } from '../parts/KeyList';
import { StateMark } from '../parts/StateMark';
import { AlikeOnes } from './AlikeOnes';
import { AttemptTrouble } from './AttemptTrouble';
import { DecisionBar } from './DecisionBar';
import { FindingList } from './FindingList';
import { LetterTools } from './LetterTools';
import { SecondOpinion } from '../opinions/SecondOpinion';
import { SittingLine } from '../sitting/SittingLine';
import { PicturesOrBoard } from './PicturesOrBoard';
import { StudentsReply } from './StudentsReply';
import type { TableProps } from './table-props';
import type { Critique } from './use-critique';

interface Props extends TableProps {
  readonly critique: Critique;
  /** What a family shows of its own. Without pictures, the photograph as it came stands there. */
  readonly pictures: ReactNode;
  /** Buttons to hold beside squint and photograph. */
  readonly holds?: ReactNode;
  /** Above the findings, and below them. */
  readonly above?: ReactNode;
  readonly below?: ReactNode;
  readonly keys: readonly (readonly [string, string])[];
}

/** What a finding said, by its key; null of none. */
function saidOf(shown: NonNullable<TableProps['shown']>, key: string | null): string | null {
  const item = shown.critique?.items.find((i) => i.original.key === key);
  return item ? (item.say ?? item.original.say) : null;
}

export function TableFrame({ handIn, attempts, shown, isCurrent, actions, critique, ...slots }: Props) {
  const { works, fixes, headlines, rest, grouping, setGrouping, editable, all, setAll, frozen, run, ask } = critique;
  return (
    <div className="grid min-h-[calc(100vh-44px)] grid-cols-1 lg:h-[calc(100vh-44px)] lg:min-h-[640px] lg:grid-cols-[minmax(0,1fr)_21rem]">
      <section className="flex min-h-0 min-w-0 flex-col" aria-label="Pictures">
        <PicturesOrBoard handIn={handIn} shown={shown} actions={actions} critique={critique} {...slots} />
      </section>
      <aside className="flex min-h-0 flex-col gap-2 overflow-y-auto bg-l93 p-3" aria-label="Critique">
        <div className="flex items-center gap-2">
          <h1 className="truncate text-18 font-semibold">{handIn.student}</h1>
          <span className="quiet ml-auto shrink-0">{handIn.place}</span>
          <button
            type="button"
            className="cursor-pointer rounded-sm border border-l37 px-2 text-13"
            aria-label="Keys"
            onClick={() => critique.setHelp(true)}
          >
            ?
          </button>
        </div>
        <p className="quiet -mt-2 flex items-center justify-between gap-2">
          <span className="truncate">{handIn.title}</span>
          {handIn.late && <span className="shrink-0">{handIn.late}</span>}
          <StateMark state={handIn.state} />
        </p>
        <SittingLine takeBack={critique.takeBack} />
        {slots.holds}
        {slots.holds !== undefined && shown?.hasPreview && (
          <div className="flex gap-2">
            <HoldButton label="Squint" keyName="s" hold={critique.squint} />
            <HoldButton label="Photograph" keyName="o" hold={critique.original} />
          </div>
        )}
        {attempts.length > 1 && (
          <nav aria-label="Attempts" className="flex flex-wrap gap-1 text-13">
            {attempts.map((a) => (
              <Link
                key={a.id}
                href={`/table/${handIn.id}?attempt=${a.id}`}
                aria-current={a.id === shown?.id}
                className={`rounded-sm px-2 py-0.5 ${a.id === shown?.id ? 'bg-l20 text-l97' : 'bg-l88'}`}
              >
                {attemptName(a, a.state)}
              </Link>
            ))}
            {slots.tries.length > 0 && (
              <button
                type="button"
                className="min-h-6 cursor-pointer px-1 underline"
                onClick={() => critique.setBoard('tries')}
              >
                How it went <kbd>h</kbd>
              </button>
            )}
          </nav>
        )}
        {shown && <AttemptTrouble shown={shown} again={() => run(() => actions.measureOnceMore(shown.id))} />}
        {shown?.reply && (
          <StudentsReply
            key={`written to ${shown.id}`}
            reply={shown.reply}
            about={saidOf(shown, shown.reply.about)}
            busy={critique.busy}
            answer={(text) => run(() => actions.answerTo(shown.id, text))}
          />
        )}
        {slots.above}
        <FindingList title="What works" items={works} from={0} {...editable} />
        <FindingList title="To mend" items={headlines} from={works.length} {...editable} />
        {fixes.length > HEADLINES && (
          <div className="flex gap-3 text-13">
            <button type="button" className="cursor-pointer underline" aria-expanded={all} onClick={() => setAll(!all)}>
              {all ? 'Fold the rest away' : `${fixes.length - HEADLINES} more`}
            </button>
            {all && (
              <button
                type="button"
                className="ml-auto cursor-pointer underline"
                onClick={() => setGrouping(grouping === 'pass' ? 'figure' : 'pass')}
              >
                {grouping === 'pass' ? 'By figure' : 'By pass'}
              </button>
            )}
          </div>
        )}
        {all &&
          rest.map(({ title, items }, k) => (
            <FindingList
              key={title}
              title={title}
              items={items}
              from={works.length + headlines.length + rest.slice(0, k).reduce((n, g) => n + g.items.length, 0)}
              {...editable}
            />
          ))}
        {shown?.critique && (
          <LetterTools shown={shown} handIn={handIn} remarks={slots.remarks} actions={actions} critique={critique} />
        )}
        {shown?.critique && (
          <SecondOpinion
            opinions={slots.opinions}
            colleagues={slots.colleagues}
            frozen={frozen}
            ask={(question) => ask(() => actions.layBefore(shown.id, question))}
            takeBack={(id) => run(() => actions.unask(shown.id, id))}
          />
        )}
        {shown?.critique && (
          <KeptText
            key={shown.id}
            label="Your own word"
            word={shown.critique.word}
            written={shown.critique.written}
            frozen={frozen}
            busy={critique.busy}
            change={(word, seen) => ask(() => actions.changeWord(shown.id, word, seen))}
          />
        )}
        {shown && (
          <GradeFold
            key={`grades of ${shown.id}`}
            criteria={slots.grading}
            give={(id, given) => actions.giveGrade(shown.id, id, given)}
          />
        )}
        {critique.trouble && (
          <p ref={intoView} role="alert" className="trouble scroll-mb-24">
            {critique.trouble}
          </p>
        )}
        {slots.below}
        {isCurrent && !frozen && (
          <AlikeOnes alike={slots.alike} labels={slots.labels} lay={() => critique.setBoard('alike')} />
        )}
        <DecisionBar
          state={handIn.state}
          verdict={shown?.verdict ?? null}
          isCurrent={isCurrent}
          busy={critique.busy}
          onVerdict={critique.verdict}
          onWithdraw={critique.withdraw}
          onSend={critique.send}
        />
      </aside>
      <KeyList keys={slots.keys} open={critique.help} onOpenChange={critique.setHelp} />
    </div>
  );
}
