/** What waits, each by its measured strip or its painting. */
import { labelsOf } from '@/core/kinds/table';
import { zoneOf } from '@/core/planning/meetings';
import type { Waiting } from '@/studio/views/today';
import Link from 'next/link';
import { HandInMark } from '../instruments/HandInMark';
import { seenAtAGlance } from '../instruments/hand-in-seen';
import { sayMoment } from '../parts/dates';

function WaitingOne({ waiting: { glance, student, exercise, class: own } }: { readonly waiting: Waiting }) {
  const { handInId, attemptId, attempt, plea, cameAt } = glance;
  return (
    <Link href={`/table/${handInId}`} className="block rounded-sm bg-l97 p-3 hover:bg-l88">
      <div className="mb-2 flex justify-between gap-2">
        <span className="truncate font-semibold">{student}</span>
        <span className="quiet shrink-0">{attempt === null ? 'sent on' : `try ${attempt}`}</span>
      </div>
      {attemptId && (
        <HandInMark
          attemptId={attemptId}
          seen={seenAtAGlance(glance, labelsOf(exercise.terms, own.numbering))}
          tall="h-24"
        />
      )}
      {plea && <p className="quiet mt-1">“{plea}”</p>}
      <p className="quiet mt-1">{exercise.title}</p>
      {cameAt && <p className="quiet">{sayMoment(cameAt, zoneOf(own.meetings))}</p>}
    </Link>
  );
}

export function WaitingOnes({ first, total }: { readonly first: readonly Waiting[]; readonly total: number }) {
  return (
    <>
      {total === 0 && <p>When a student hands in, it appears here with its measured strip.</p>}
      <ul className="grid grid-cols-[repeat(auto-fill,minmax(15rem,1fr))] gap-3">
        {first.map((w) => (
          <li key={w.glance.handInId}>
            <WaitingOne waiting={w} />
          </li>
        ))}
      </ul>
      {total > first.length && (
        <p className="quiet mt-3">
          These came first, or need most. {total - first.length} more wait on the{' '}
          <Link href="/rack" className="underline">
            racks
          </Link>
          .
        </p>
      )}
    </>
  );
}
