import { labelsOf } from '@/core/kinds/table';
import { zoneOf } from '@/core/planning/meetings';
import { classesOf } from '@/studio/class/people';
import { trayOf } from '@/studio/hand-in/pile';
import { rackOf } from '@/studio/views/rack';
import { HandInMark } from '@/ui/instruments/HandInMark';
import { sayDay } from '@/ui/parts/dates';
import { StateMark } from '@/ui/parts/StateMark';
import { PileDrop } from '@/ui/rack/PileDrop';
import { RackBoard } from '@/ui/rack/RackBoard';
import { RackKey } from '@/ui/rack/RackKey';
import { RackPlace } from '@/ui/rack/RackPlace';
import Link from 'next/link';
import { orNotFound, teacherOnly } from '../../../access';
import { discardPicture, givePicture } from '../actions';

interface Props {
  readonly params: Promise<{ classId: string }>;
  readonly searchParams: Promise<{ exercise?: string }>;
}

export default async function Rack({ params, searchParams }: Props) {
  const { house, teacher } = await teacherOnly();
  const { classId } = await params;
  const [rack, groups, waiting] = await Promise.all([
    orNotFound(rackOf(house, teacher, classId)),
    classesOf(house, teacher),
    orNotFound(trayOf(house, teacher, classId)),
  ]);
  const { exercises, students, cells } = rack;
  const asked = (await searchParams).exercise;
  const withWork = exercises.find((e) => cells.some((c) => c.exerciseId === e.id && c.state === 'waiting'));
  const open = exercises.find((e) => e.id === asked) ?? withWork ?? exercises[0];
  const others = exercises.filter((e) => e.id !== open?.id);
  const zone = zoneOf(rack.class.meetings);
  const cellOf = (studentId: string, exerciseId: string) =>
    cells.find((c) => c.studentId === studentId && c.exerciseId === exerciseId);
  const labels = open ? labelsOf(open.terms, rack.class.numbering) : [];
  return (
    <div className="p-4">
      <RackBoard
        items={waiting}
        students={students.map((s) => ({ id: s.id, name: s.name }))}
        exercises={exercises.map((e) => ({ id: e.id, title: e.title }))}
        give={givePicture.bind(null, classId)}
        discard={discardPicture.bind(null, classId)}
      >
        <section className="panel" aria-labelledby="rack">
          <div className="mb-3 flex flex-wrap items-center gap-3">
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
          </div>
          {students.length === 0 && (
            <p>
              No students yet.{' '}
              <Link href={`/ledger/${classId}`} className="underline">
                Add them in the Ledger.
              </Link>
            </p>
          )}
          {students.length > 0 && !open && (
            <p>
              Nothing is set for this class.{' '}
              <Link href="/plan/new" className="underline">
                Set an exercise.
              </Link>
            </p>
          )}
          {students.length > 0 && open && (
            <>
              <div
                className="relative overflow-x-auto"
                role="region"
                aria-label="Hand-ins, a row a student"
                tabIndex={0}
              >
                <table className="w-full border-separate border-spacing-x-2 border-spacing-y-1">
                  <thead>
                    <tr>
                      <th className="w-32 text-left font-normal sm:w-44">
                        <span className="sr-only">Student</span>
                      </th>
                      <th scope="col" className="min-w-64 text-left align-bottom font-semibold">
                        <Link href={`/plan/${open.id}`} className="hover:underline">
                          {open.title}
                        </Link>
                        <span className="quiet ml-2 font-normal">
                          {open.dueAt && `due ${sayDay(open.dueAt, zone)}`}
                        </span>
                      </th>
                      {others.map((e, i) => (
                        <th key={e.id} scope="col" className="w-9 align-bottom font-normal">
                          <Link
                            href={`/rack/${classId}?exercise=${e.id}`}
                            title={e.title}
                            className="grid min-h-7 min-w-7 place-items-center rounded-sm text-13 hover:bg-l80"
                          >
                            <span aria-hidden>{i + 1}</span>
                            <span className="sr-only">{e.title}</span>
                          </Link>
                        </th>
                      ))}
                    </tr>
                  </thead>
                  <tbody>
                    {students.map((s) => {
                      const cell = cellOf(s.id, open.id);
                      return (
                        <tr key={s.id}>
                          <th scope="row" className="max-w-32 truncate text-left font-normal sm:max-w-44">
                            {s.name}
                          </th>
                          <RackPlace studentId={s.id} exerciseId={open.id}>
                            {cell?.handInId ? (
                              <Link
                                href={`/table/${cell.handInId}`}
                                className="grid grid-cols-[minmax(0,1fr)_8.5rem] items-center gap-3 rounded-sm bg-l97 px-2 py-1 hover:bg-l88"
                              >
                                <span className="sr-only">
                                  {s.name}: {open.title}
                                </span>
                                <span className="block max-w-96">
                                  {cell.attemptId && !cell.refused ? (
                                    <HandInMark
                                      attemptId={cell.attemptId}
                                      measured={cell.measured}
                                      labels={labels}
                                      width={300}
                                      height={28}
                                    />
                                  ) : (
                                    <span className="block h-11" />
                                  )}
                                </span>
                                <span>
                                  <StateMark state={cell.refused ? 'refused' : cell.state} />
                                  {cell.attempt !== null && cell.attempt > 1 && (
                                    <span className="quiet block">try {cell.attempt}</span>
                                  )}
                                </span>
                              </Link>
                            ) : (
                              <span className="grid grid-cols-[minmax(0,1fr)_8.5rem] gap-3 px-2 py-1">
                                <span />
                                <StateMark state="open" />
                              </span>
                            )}
                          </RackPlace>
                          {others.map((e) => {
                            const other = cellOf(s.id, e.id);
                            const state = other?.refused ? 'refused' : (other?.state ?? 'open');
                            return (
                              <RackPlace key={e.id} studentId={s.id} exerciseId={e.id}>
                                {other?.handInId ? (
                                  <Link
                                    href={`/table/${other.handInId}`}
                                    title={`${s.name}: ${e.title}`}
                                    className="grid min-h-8 place-items-center rounded-sm bg-l97 hover:bg-l88"
                                  >
                                    <span className="sr-only">
                                      {s.name}: {e.title}
                                    </span>
                                    <StateMark state={state} small />
                                  </Link>
                                ) : (
                                  <span className="grid min-h-8 place-items-center">
                                    <StateMark state={state} small />
                                  </span>
                                )}
                              </RackPlace>
                            );
                          })}
                        </tr>
                      );
                    })}
                  </tbody>
                </table>
              </div>
              {others.length > 0 && (
                <nav aria-label="Exercises of this class" className="mt-3 flex flex-wrap gap-x-4 gap-y-1 text-13">
                  {others.map((e, i) => (
                    <Link
                      key={e.id}
                      href={`/rack/${classId}?exercise=${e.id}`}
                      className="min-h-7 rounded-sm px-1 hover:bg-l80"
                    >
                      <span className="font-semibold">{i + 1}</span> {e.title}
                    </Link>
                  ))}
                </nav>
              )}
              <RackKey />
            </>
          )}
        </section>
        {students.length > 0 && open && <PileDrop classId={classId} />}
      </RackBoard>
    </div>
  );
}
