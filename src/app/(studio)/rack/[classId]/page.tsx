import { classesOf } from '@/studio/class/people';
import { trayOf } from '@/studio/hand-in/pile';
import { labelsOf } from '@/studio/plan/exercises';
import { rackOf } from '@/studio/views';
import { Strip } from '@/ui/instruments/Strip';
import { stripCells } from '@/ui/instruments/strip-cells';
import { sayDay } from '@/ui/parts/dates';
import { StateMark } from '@/ui/parts/StateMark';
import { PileDrop } from '@/ui/rack/PileDrop';
import { RackBoard, RackPlace } from '@/ui/rack/RackBoard';
import Link from 'next/link';
import { orNotFound, teacherOnly } from '../../../access';
import { discardPicture, givePicture } from '../actions';

export default async function Rack({ params }: { params: Promise<{ classId: string }> }) {
  const { house, teacher } = await teacherOnly();
  const { classId } = await params;
  const [rack, groups, waiting] = await Promise.all([
    orNotFound(rackOf(house, teacher, classId)),
    classesOf(house, teacher),
    orNotFound(trayOf(house, teacher, classId)),
  ]);
  const shown = rack.exercises;
  return (
    <div className="p-4">
      <RackBoard
        items={waiting}
        students={rack.students.map((s) => ({ id: s.id, name: s.name }))}
        exercises={rack.exercises.map((e) => ({ id: e.id, title: e.title }))}
        give={givePicture.bind(null, classId)}
        discard={discardPicture.bind(null, classId)}
      >
        <section className="panel" aria-labelledby="rack">
          <div className="mb-3 flex items-center gap-3">
            <h1 id="rack" className="text-24 font-semibold">
              {rack.class.name}
            </h1>
            {groups
              .filter((g) => g.id !== classId)
              .map((g) => (
                <Link key={g.id} href={`/rack/${g.id}`} className="rounded-sm px-2 py-1 hover:bg-l80">
                  {g.name}
                </Link>
              ))}
            <p className="quiet ml-auto">
              Under each cell: straight mark on its value, triangle off it (left too dark, right too light), double line
              too close, cross the wrong way round, wave streaky, bracket past the line
            </p>
          </div>
          {rack.students.length === 0 && (
            <p>
              No students yet.{' '}
              <Link href={`/ledger/${classId}`} className="underline">
                Add them in the Ledger.
              </Link>
            </p>
          )}
          {rack.students.length > 0 && shown.length === 0 && (
            <p>
              Nothing is set for this class.{' '}
              <Link href="/plan/new" className="underline">
                Set an exercise.
              </Link>
            </p>
          )}
          {rack.students.length > 0 && shown.length > 0 && (
            <div className="overflow-x-auto" role="region" aria-label="Hand-ins, a row a student" tabIndex={0}>
              <table className="min-w-full border-separate border-spacing-x-3 border-spacing-y-1">
                <thead>
                  <tr>
                    <th className="sticky left-0 z-10 w-44 min-w-36 bg-l93 text-left font-normal">
                      <span className="sr-only">Student</span>
                    </th>
                    {shown.map((e) => (
                      <th key={e.id} scope="col" className="min-w-64 max-w-72 text-left align-bottom font-semibold">
                        <Link href={`/plan/${e.id}`} className="hover:underline">
                          {e.title}
                        </Link>
                        <span className="quiet ml-2 font-normal">{e.dueAt && `due ${sayDay(e.dueAt)}`}</span>
                      </th>
                    ))}
                  </tr>
                </thead>
                <tbody>
                  {rack.students.map((s) => (
                    <tr key={s.id}>
                      <th scope="row" className="sticky left-0 z-10 max-w-44 truncate bg-l93 text-left font-normal">
                        {s.name}
                      </th>
                      {shown.map((e) => {
                        const cell = rack.cells.find((c) => c.studentId === s.id && c.exerciseId === e.id);
                        if (!cell?.handInId)
                          return (
                            <RackPlace key={e.id} studentId={s.id} exerciseId={e.id}>
                              <StateMark state="open" />
                            </RackPlace>
                          );
                        return (
                          <RackPlace key={e.id} studentId={s.id} exerciseId={e.id}>
                            <Link
                              href={`/table/${cell.handInId}`}
                              className="grid grid-cols-[minmax(8rem,20rem)_auto] items-center gap-3 rounded-sm bg-l97 px-2 py-1 hover:bg-l88"
                            >
                              <span className="sr-only">
                                {s.name}: {e.title}
                              </span>
                              {cell.result && cell.result.steps.length > 0 && !cell.refused ? (
                                <Strip
                                  cells={stripCells(cell.result, labelsOf(e.terms, rack.class.numbering))}
                                  width={300}
                                  height={28}
                                />
                              ) : cell.attemptId && !cell.result ? (
                                <img
                                  src={`/picture/${cell.attemptId}/${cell.notan ? 'strip' : 'preview'}`}
                                  alt=""
                                  className={
                                    cell.notan ? 'h-14 w-full object-contain object-left' : 'h-11 w-full object-cover'
                                  }
                                />
                              ) : (
                                <span className="h-11" />
                              )}
                              <span>
                                <StateMark state={cell.refused ? 'refused' : cell.state} />
                                {cell.attempt !== null && cell.attempt > 1 && (
                                  <span className="quiet block">try {cell.attempt}</span>
                                )}
                              </span>
                            </Link>
                          </RackPlace>
                        );
                      })}
                    </tr>
                  ))}
                </tbody>
              </table>
            </div>
          )}
        </section>
        {rack.students.length > 0 && shown.length > 0 && <PileDrop classId={classId} />}
      </RackBoard>
    </div>
  );
}
