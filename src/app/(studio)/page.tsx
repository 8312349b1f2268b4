import { labelsOf } from '@/core/kinds/table';
import { zoneOf } from '@/core/planning/meetings';
import { classesOf } from '@/studio/class/people';
import { exercisesOfTeacher } from '@/studio/plan/exercises';
import { answersToTeacher, askedOfTeacher } from '@/studio/critique/opinions';
import { repliesTo } from '@/studio/critique/replies';
import { closingsOfOwnDoor, notMeasuredOf, waitingOf } from '@/studio/views/today';
import { HandInMark } from '@/ui/instruments/HandInMark';
import { sayDay, sayMoment } from '@/ui/parts/dates';
import { Begin } from '@/ui/today/Begin';
import { Opinions } from '@/ui/today/Opinions';
import { Replies } from '@/ui/today/Replies';
import { NotMeasured } from '@/ui/today/NotMeasured';
import Link from 'next/link';
import { teacherOnly } from '../access';
import { measureOnceMore } from './table/actions';

export default async function Today() {
  const { house, teacher } = await teacherOnly();
  const [waiting, asked, answers, written, notMeasured, closings, work, groups] = await Promise.all([
    waitingOf(house, teacher),
    askedOfTeacher(house, teacher),
    answersToTeacher(house, teacher),
    repliesTo(house, teacher),
    notMeasuredOf(house, teacher),
    closingsOfOwnDoor(house, teacher),
    exercisesOfTeacher(house, teacher),
    classesOf(house, teacher),
  ]);
  const groupOf = (id: string) => groups.find((g) => g.id === id);
  const due = work.filter((w) => w.exercise.dueAt !== null);
  const first = waiting[0];
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
        {asked.length + answers.length > 0 && <Opinions asked={asked} answers={answers} />}
        {written.length > 0 && <Replies replies={written} />}
        {notMeasured.length > 0 && <NotMeasured pictures={notMeasured} again={measureOnceMore} />}
        <section className="panel" aria-labelledby="waiting">
          <div className="mb-3 flex items-center gap-4">
            <h1 id="waiting" className="text-24 font-semibold">
              {waiting.length === 0
                ? 'Nothing waits'
                : `${waiting.length} ${waiting.length === 1 ? 'hand-in waits' : 'hand-ins wait'} for you`}
            </h1>
            {first && <Begin handInId={first.handIn.id} student={first.student.name} />}
          </div>
          {waiting.length === 0 && <p>When a student hands in, it appears here with its measured strip.</p>}
          <ul className="grid grid-cols-[repeat(auto-fill,minmax(15rem,1fr))] gap-3">
            {waiting.map((w) => (
              <li key={w.handIn.id}>
                <Link href={`/table/${w.handIn.id}`} className="block rounded-sm bg-l97 p-3 hover:bg-l88">
                  <div className="mb-2 flex justify-between gap-2">
                    <span className="truncate font-semibold">{w.student.name}</span>
                    <span className="quiet shrink-0">{w.attempt.number ? `try ${w.attempt.number}` : 'sent on'}</span>
                  </div>
                  <HandInMark
                    attemptId={w.attempt.id}
                    measured={w.measured}
                    labels={labelsOf(w.exercise.terms, groupOf(w.exercise.classId)?.numbering ?? 'white-is-one')}
                  />
                  {w.attempt.plea && <p className="quiet mt-1">“{w.attempt.plea}”</p>}
                  <p className="quiet mt-1">{w.exercise.title}</p>
                  <p className="quiet">
                    {sayMoment(w.attempt.createdAt, zoneOf(groupOf(w.exercise.classId)?.meetings ?? null))}
                  </p>
                </Link>
              </li>
            ))}
          </ul>
        </section>
      </div>
      <section className="panel self-start" aria-labelledby="due">
        <h2 id="due" className="mb-3 text-18 font-semibold">
          Set and due
        </h2>
        {work.length === 0 && (
          <p className="mb-3">
            {groups.length === 0 ? 'Make a class in the Ledger, then set its first scale.' : 'No exercise is set yet.'}
          </p>
        )}
        <ul className="grid gap-2">
          {due.map(({ exercise, class: group }) => (
            <li key={exercise.id}>
              <Link href={`/rack/${group.id}`} className="block rounded-sm p-1 hover:bg-l88">
                <span className="font-semibold">{exercise.title}</span>
                <span className="quiet block">
                  {group.name}, due {exercise.dueAt && sayDay(exercise.dueAt, zoneOf(group.meetings))}
                </span>
              </Link>
            </li>
          ))}
        </ul>
        <Link href={groups.length === 0 ? '/ledger' : '/plan/new'} className="calm mt-4 w-full">
          {groups.length === 0 ? 'Make a class' : 'Set an exercise'}
        </Link>
      </section>
    </div>
  );
}
