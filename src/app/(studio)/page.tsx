import { zoneOf } from '@/core/planning/meetings';
import { classesOf } from '@/studio/class/people';
import { answersToTeacher, askedOfTeacher } from '@/studio/critique/opinions';
import { repliesTo } from '@/studio/critique/replies';
import { holdsIn, sittingNow } from '@/studio/critique/sitting';
import { exercisesOfTeacher } from '@/studio/plan/exercises';
import { notHandedIn, sentBackOf } from '@/studio/views/owed';
import { heldLetters } from '@/studio/views/sitting';
import { closingsOfOwnDoor, notMeasuredOf, waitingOf } from '@/studio/views/today';
import { underWay } from '@/studio/views/under-way';
import { sayDay } from '@/ui/parts/dates';
import { HeldLetters } from '@/ui/sitting/HeldLetters';
import { HoldsSwitch } from '@/ui/sitting/HoldsSwitch';
import { Begin } from '@/ui/today/Begin';
import { NotMeasured } from '@/ui/today/NotMeasured';
import { Opinions } from '@/ui/today/Opinions';
import { Owing } from '@/ui/today/Owing';
import { Replies } from '@/ui/today/Replies';
import { UnderWay } from '@/ui/today/UnderWay';
import { WaitingOnes } from '@/ui/today/WaitingOnes';
import Link from 'next/link';
import { teacherOnly } from '../access';
import { measureOnceMore } from './table/actions';
import { sendLetter, setHolds } from './table/sitting-actions';

/** Dates to come that are told beside. */
const DATES = 8;

export default async function Today() {
  const { house, teacher } = await teacherOnly();
  const now = new Date();
  const drafts = teacher.standing === 'assistant';
  const sitting = await sittingNow(house, teacher);
  const [waiting, held, asked, answers, written, notMeasured, closings, work, groups, owed, sentBack] =
    await Promise.all([
      waitingOf(house, teacher, sitting?.handInId),
      heldLetters(house, teacher),
      askedOfTeacher(house, teacher),
      answersToTeacher(house, teacher),
      repliesTo(house, teacher),
      notMeasuredOf(house, teacher),
      closingsOfOwnDoor(house, teacher),
      exercisesOfTeacher(house, teacher),
      classesOf(house, teacher),
      notHandedIn(house, teacher),
      sentBackOf(house, teacher),
    ]);
  const due = work
    .filter(({ exercise }) => exercise.dueAt !== null && exercise.dueAt > now)
    .sort((a, b) => Number(a.exercise.dueAt) - Number(b.exercise.dueAt))
    .slice(0, DATES);
  const [first] = waiting.first;
  const goesOn = first?.glance.handInId === sitting?.handInId;
  return (
    <div className="grid gap-4 p-4 lg:grid-cols-[1fr_20rem]">
      <div className="grid content-start gap-4">
        {closings > 0 && (
          <p role="status" className="trouble">
            Somebody tried many wrong passwords for your name since yesterday, and the door was closed to them{' '}
            {closings === 1 ? 'once' : `${closings} times`}. You can still come in with any device that you have used
            before.
          </p>
        )}
        <HeldLetters letters={held} send={drafts ? null : sendLetter} />
        {asked.length + answers.length > 0 && <Opinions asked={asked} answers={answers} />}
        {written.length > 0 && <Replies replies={written} />}
        {notMeasured.length > 0 && <NotMeasured pictures={notMeasured} again={measureOnceMore} />}
        <section className="panel" aria-labelledby="waiting">
          <div className="mb-3 flex flex-wrap items-center gap-4">
            <h1 id="waiting" className="text-24 font-semibold">
              {waiting.total === 0
                ? 'Nothing waits'
                : `${waiting.total} ${waiting.total === 1 ? 'hand-in waits' : 'hand-ins wait'} for you`}
            </h1>
            <div className="ml-auto flex flex-wrap items-center gap-4">
              {!drafts && <HoldsSwitch holds={holdsIn(teacher, sitting)} save={setHolds} />}
              {first && <Begin handInId={first.glance.handInId} student={first.student} goesOn={goesOn} />}
            </div>
          </div>
          <WaitingOnes first={waiting.first} total={waiting.total} />
        </section>
      </div>
      <div className="grid content-start gap-4">
        <section className="panel" aria-labelledby="due">
          <h2 id="due" className="mb-3 text-18 font-semibold">
            Set and due
          </h2>
          {work.length === 0 && (
            <p className="mb-3">
              {groups.length === 0
                ? 'Make a class in the Ledger, then set its first scale.'
                : 'No exercise is set yet.'}
            </p>
          )}
          {work.length > 0 && due.length === 0 && <p className="mb-3">No date is to come.</p>}
          <ul className="grid gap-2">
            {due.map(({ exercise, class: group }) => (
              <li key={exercise.id}>
                <Link href={`/rack/${group.id}?exercise=${exercise.id}`} className="block rounded-sm p-1 hover:bg-l88">
                  <span className="font-semibold">{exercise.title}</span>
                  <span className="quiet block">
                    {group.name}, due {exercise.dueAt && sayDay(exercise.dueAt, zoneOf(group.meetings))}
                  </span>
                </Link>
              </li>
            ))}
          </ul>
          {!drafts && (
            <Link href={groups.length === 0 ? '/ledger' : '/plan/new'} className="calm mt-4 w-full">
              {groups.length === 0 ? 'Make a class' : 'Set an exercise'}
            </Link>
          )}
        </section>
        <UnderWay {...underWay(work, now)} />
        <Owing owed={owed} sentBack={sentBack} now={now} />
      </div>
    </div>
  );
}
